import { fitCurve, withActivation, type ProductSheet } from '@calvetta/core';
import type { FieldProblem } from '@calvetta/contract';

/** What a sheet's figures say against each other, beyond their shapes; `at` is where the sheet stands in what was sent. */
export function sheetProblems(sheet: ProductSheet, at = ''): FieldProblem[] {
  const out: FieldProblem[] = [];
  const say = (field: string, code: string, got: unknown, accepts: string): void =>
    void out.push({ field: `${at}${field}`, code, got, accepts });
  if (sheet.dftMinUm > sheet.dftMaxUm)
    say('dftMinUm', 'order', sheet.dftMinUm, `no more than dftMaxUm, ${sheet.dftMaxUm}`);
  if (sheet.dftUm < sheet.dftMinUm || sheet.dftUm > sheet.dftMaxUm)
    say('dftUm', 'order', sheet.dftUm, `from ${sheet.dftMinUm} to ${sheet.dftMaxUm}`);
  for (const [stage, times] of Object.entries(sheet.stages)) {
    const fitted = fitCurve(withActivation(times, sheet.binder));
    if (!fitted.ok)
      say(`stages.${stage}`, fitted.error.code, times, 'times that get shorter as it gets warmer');
  }
  return out;
}
