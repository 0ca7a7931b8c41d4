/** Water: what beds and pots lose, when they want it, when they may have it. */
export * from '../src/water/evaporation';
export * from '../src/water/balance';
export * from '../src/water/underLayers';
export * from '../src/water/growing';
export * from '../src/water/feeding';
export * from '../src/water/frostBank';
