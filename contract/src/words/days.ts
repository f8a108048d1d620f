/** Monday first. */
export const WEEKDAY_SHORT = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

const DAYS = new Intl.DateTimeFormat('en-GB', {
  timeZone: 'UTC',
  day: 'numeric',
  month: 'short',
  year: 'numeric',
});
/** A day of the calendar, `2031-03-05`, as people write it. */
export const dayWords = (day: string): string => DAYS.format(new Date(`${day}T12:00:00Z`));
