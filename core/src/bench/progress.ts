import { plannedFor, type PlannedCoat } from './face.ts';
import type { FaceResult } from './part.ts';
import { faceAreaM2 } from '../work/area.ts';
import { layMinutes, usualTool } from '../work/minutes.ts';

export interface ProgressInput {
  readonly areaM2: number | null;
  readonly planned: readonly PlannedCoat[];
  readonly faces: readonly (Pick<FaceResult, 'coats'> & Partial<Pick<FaceResult, 'face'>>)[];
}

export interface Progress {
  /** Share of the routes' film that is on, weighted by area, 0…1: ten small brackets are not half a frame. */
  readonly byArea: number;
  /** Hours of coating, without preparation and waiting: the sheets' minutes per m², at least ten a coat (common practice). */
  readonly hoursDone: number;
  readonly hoursAll: number;
}

/** How far a set of parts is along its routes. A part without a route counts for nothing. */
export function progressOf(parts: readonly ProgressInput[]): Progress {
  let doneM2 = 0;
  let allM2 = 0;
  let hoursDone = 0;
  let hoursAll = 0;
  for (const p of parts) {
    const faceM2 = faceAreaM2(p.areaM2, p.faces.length);
    for (const face of p.faces) {
      const planned = face.face === undefined ? p.planned : plannedFor(p.planned, face.face);
      const coats = Math.max(planned.length, face.coats.length);
      allM2 += coats * faceM2;
      doneM2 += face.coats.length * faceM2;
      for (let i = 0; i < coats; i++) {
        const sheet = face.coats[i]?.sheet ?? planned[i]!.sheet;
        const hours = layMinutes(sheet, usualTool(sheet), faceM2) / 60;
        hoursAll += hours;
        if (i < face.coats.length) hoursDone += hours;
      }
    }
  }
  return { byArea: allM2 === 0 ? 0 : doneM2 / allM2, hoursDone, hoursAll };
}
