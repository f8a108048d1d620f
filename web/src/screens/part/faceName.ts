import type { Face } from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';

/** What a face is called: by its zone where a painted zone of its own has one of the part's clocks, else by its letter. */
export function faceName(part: Pick<PartDetail, 'route' | 'survey'>, face: Face): string {
  const painted = part.route.find((s) => s.zoneId !== null && s.coats > 0 && s.kind !== 'cavity');
  const zone = part.survey?.zones.find((z) => z.zoneId === painted?.zoneId);
  if (!zone) return `Face ${face}`;
  return face === 'A' ? 'Outside' : zone.name;
}
