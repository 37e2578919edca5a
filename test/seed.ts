import fc from 'fast-check'

// One number for all that is random in a run: what failed, or what a run died of, can be made again with it.
fc.configureGlobal({ seed: Number(process.env.SEED) })
