/** An invented release in the notation, to begin from. */
export const SAMPLE_OUTLINE = `release Gull Row 1996, Gullhaven Card Works, 1996
pack Hobby: 8 cards, 24 packs
base Base: 1-120, stated 120
subset Night Boats in Base: 41-50
insert Chart Room: C1-C12, hobby 1:8
extra Stickers: 9 cards, grid 3x3
parallel Copper: Base, Night Boats
parallel Slate: Base /90, Night Boats /30
27: home town, two printings`;
