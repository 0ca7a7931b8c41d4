/** Water: what beds and pots lose, when they want it, when they may have it. */
export * from '../src/water/evaporation';
export * from '../src/water/balance';
export * from '../src/water/growing';
