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

const weekday = new Intl.DateTimeFormat('en-GB', { weekday: 'long' });
const date = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });

/** The day of a moment in words: "Today", "Yesterday", else "Friday 27 November 2026". */
export function dayText(iso: string, today = new Date()): string {
  const at = new Date(iso);
  if (Number.isNaN(at.getTime())) return 'An unknown day';
  const isSame = (other: Date) => at.toDateString() === other.toDateString();
  if (isSame(today)) return 'Today';
  const yesterday = new Date(today.getFullYear(), today.getMonth(), today.getDate() - 1);
  return isSame(yesterday) ? 'Yesterday' : `${weekday.format(at)} ${date.format(at)}`;
}

/** The time of the day, to the second. */
export function timeText(at: Date): string {
  return at.toLocaleTimeString('en-GB');
}
