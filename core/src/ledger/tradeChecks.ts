/**
 * What such jobs usually take, hours of hands, by docs/trade.md T7–T9 and a third to either side (common practice, no published source).
 * Beside the shop's own they say whether a reckoning is of this world.
 */
export const TRADE_CHECKS = {
  aircraft: { fromH: 133, toH: 267 },
  'light-jet': { fromH: 433, toH: 867 },
  'chassis-coat': { fromH: 4, toH: 8 },
  'engine-cleaning': { fromH: 4.3, toH: 8.7 },
} as const;
export type TradeCheckId = keyof typeof TRADE_CHECKS;
