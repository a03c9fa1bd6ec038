const clock = new Intl.DateTimeFormat('en-GB', {
  hour: '2-digit',
  minute: '2-digit',
  second: '2-digit',
});
const day = new Intl.DateTimeFormat('en-GB', { day: '2-digit', month: 'short', year: 'numeric' });

/** A moment in words: the time where it is today, else the day and the time. */
export function dateText(iso: string, today = new Date()): string {
  const at = new Date(iso);
  if (Number.isNaN(at.getTime())) return 'at an unknown time';
  const isToday = at.toDateString() === today.toDateString();
  return isToday
    ? `today ${clock.format(at)}`
    : `${day.format(at)} ${clock.format(at).slice(0, 5)}`;
}
