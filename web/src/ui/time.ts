import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';

/** Instants in the shop's zone, whatever the tablet's own is. */
export function clockTime(ms: number, zone: string): string {
  return format(new TZDate(ms, zone), 'HH:mm');
}
/** So far away a day alone could be of another year. */
const isOtherYear = (ms: number, nowMs: number): boolean => Math.abs(ms - nowMs) > 300 * 86_400_000;

export function dayAndTime(ms: number, zone: string, nowMs = Date.now()): string {
  return format(new TZDate(ms, zone), isOtherYear(ms, nowMs) ? 'd MMM yyyy HH:mm' : 'EEE d MMM HH:mm');
}

/** "23:20", "Sat 09:30" or "14 Mar": as much as is needed to be sure which moment is meant. */
export function moment(ms: number, nowMs: number, zone: string): string {
  const at = new TZDate(ms, zone);
  const now = new TZDate(nowMs, zone);
  const days = Math.abs(ms - nowMs) / 86_400_000;
  if (format(at, 'yyyyMMdd') === format(now, 'yyyyMMdd')) return format(at, 'HH:mm');
  if (days < 6) return format(at, 'EEE HH:mm');
  return format(at, isOtherYear(ms, nowMs) ? 'd MMM yyyy' : 'd MMM');
}

/** "2 h 30", "45 min", "3 d 4 h". */
export function duration(ms: number): string {
  const minutes = Math.max(0, Math.round(ms / 60_000));
  if (minutes < 60) return `${minutes} min`;
  const hours = Math.floor(minutes / 60);
  if (hours < 48)
    return minutes % 60 === 0 || hours >= 10
      ? `${hours} h`
      : `${hours} h ${String(minutes % 60).padStart(2, '0')}`;
  const days = Math.floor(hours / 24);
  return hours % 24 === 0 || days >= 6 ? `${days} d` : `${days} d ${hours % 24} h`;
}

/** "just now", "12 min ago": how old a reading is. */
export function ago(ms: number): string {
  return ms < 45_000 ? 'just now' : `${duration(ms)} ago`;
}

/** For an `<input type="datetime-local">`, in the shop's zone. */
export function toLocalInput(ms: number, zone: string): string {
  return format(new TZDate(ms, zone), "yyyy-MM-dd'T'HH:mm");
}
export function fromLocalInput(text: string, zone: string): number | null {
  const m = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)$/.exec(text);
  if (!m) return null;
  const [year, month, day, hour, minute] = m.slice(1).map(Number) as [number, number, number, number, number];
  return new TZDate(year, month - 1, day, hour, minute, zone).getTime();
}
