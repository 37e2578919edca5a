import { describe, expect, it } from 'vitest'
import { readShape } from './shape'

describe('the shape that a recipe speaks of', () => {
  it.each([
    // The name of the dish.
    ['Lamb samosas', 'Fill and seal.', 'cone'],
    ['Samosa pie', 'Shape cones of pastry.', 'lidded-pie'],
    ['Apple strudel parcels', 'Fold over.', 'parcel'],
    ['Momos with leek', 'Fill and close.', 'pleated'],
    // The hands, where the name says nothing.
    ['Leek supper', 'Fold over and crimp.', 'half-moon'],
    ['Leek supper', 'Coil it into a snail.', 'coil'],
    ['Leek supper', 'Gather the edges, seam side down.', 'bun'],
    ['Leek supper', 'Bake for 20 minutes.', null],
    // The hands, where the name says otherwise.
    ['Beef patties', 'Fold over and crimp.', 'half-moon'],
    ['Mutton pies', 'Line six tins, fill, put the lids on.', 'lidded-pie'],
    ['Mutton pies', 'Line six 10 cm pie tins with pastry. Fill, cover with lids.', 'lidded-pie'],
    ['Burrito pockets', 'Fold in the sides and roll.', 'roll'],
    ['Lamb pockets', 'Fold the edges in like an envelope.', 'parcel'],
    ['Stuffed bread', 'Cut strips on both sides and braid over the filling.', 'roll'],
    ['Mutton pies', 'Roll the rest for 6 lids, crimp.', 'lidded-pie'],
    ['Mutton pies', 'Fold over, crimp, and keep the lid of the box.', 'half-moon'],
    ['Salmon loaf', 'Roll 2 rectangles, one slightly bigger. Fill, cover, crimp.', 'lidded-pie'],
    [
      'Cheese pockets',
      'Oil a tray, lay in half of the filo, fill, cover with the rest of the sheets.',
      'lidded-pie',
    ],
    ['Prawn dumplings', 'Draw up the edges and pinch together.', 'bun'],
    ['Prawn dumplings', 'Fold in half, draw up the edges.', 'half-moon'],
    ['Prawn dumplings', 'Fill and pleat.', 'pleated'],
    ['Prawn dumplings', 'Fold and pleat.', 'half-moon'],
    ['Rice paper dumplings', 'Wrap into a parcel.', 'parcel'],
    ['Walnut crescents', 'Cut in triangles, roll up.', 'roll'],
    ['Cheese rolls', 'Wrap the cheese, seam side down.', 'bun'],
    ['Cheese rolls', 'Roll up, seam side down.', 'roll'],
    ['Corn momos', 'Fold to half-moons.', 'half-moon'],
  ])('%s, "%s": %s', (title, method, shape) => {
    expect(readShape(title, method)).toBe(shape)
  })

  it('takes what is counted where the method only flattens', () => {
    expect(readShape('Sunday supper', 'Flatten each.', 'Makes 12 buns')).toBe('bun')
    expect(readShape('Sunday supper', 'Flatten each.', '12 balls')).toBe('disc')
  })
})
