<template><p>Shelf</p></template>
