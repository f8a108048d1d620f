/**
 * Speed as ratios against named baselines in the same run (`npm run bench`). It prints absolutes too; nothing is asserted,
 * because machines differ. Needs DATABASE_URL for the HTTP part (bin/bench sets one up); without it that part is skipped.
 */
import { benchAdvice } from './advice.ts';
import { benchClocks } from './clocks.ts';
import { benchCrowd } from './crowd.ts';
import { benchDewPoint } from './dewPoint.ts';
import { benchHttp } from './http.ts';
import { benchFirstScreen } from './firstScreen.ts';
import { benchInspect } from './inspect.ts';
import { benchLedger } from './ledger.ts';
import { benchPlan } from './plan.ts';
import { benchScale } from './scale.ts';
import { benchShelf } from './shelf.ts';
import { print } from './print.ts';

print('stage clocks: 400 parts × 30 days of minute readings, one nominal stage each', benchClocks());
print('dew point, per call', benchDewPoint());
print('advice on a route', benchAdvice());
print('plans: one machine, five, and thirty', await benchPlan());
print('what was found: causes, pits, rust', benchInspect());
print('what a leftover can paint, and what to buy', await benchShelf());
print('JavaScript of the first screen', benchFirstScreen());
if (process.env['DATABASE_URL'] === undefined)
  console.log('GET /api/bench: skipped, DATABASE_URL is not set (use bin/bench)');
else {
  print('GET /api/bench: 400 parts, 1 million readings, 40 at a time', await benchHttp());
  print(
    'a shop that grows: as many years as it has parts for, 14 days of readings by the minute, before that by ten',
    await benchScale(),
  );
  print('the chain, and paper', await benchLedger());
  print(
    'six tabs, forty tablets and ten probes while 20 writes a second arrive, 400 parts',
    await benchCrowd(),
  );
}
