/** Minutes and seconds as pilots write them: 910 → "15:10". Negative spans get a minus sign. */
export function minutesAndSeconds(seconds: number): string {
  const whole = Math.round(Math.abs(seconds));
  const sign = seconds < 0 && whole > 0 ? '−' : '';
  return `${sign}${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** Seconds of a span written "18:06"; null when it is not one. */
export function readClock(text: string): number | null {
  const match = /^(\d{1,3}):([0-5]\d)$/.exec(text.trim());
  return match ? Number(match[1]) * 60 + Number(match[2]) : null;
}

/** "24 minutes", "half an hour", "2 hours", "1 h 20 min": how long something lasts by the clock, to the minute. */
export function spanInWords(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  if (minutes === 30) return 'half an hour';
  if (hours === 0) return rest === 1 ? '1 minute' : `${rest} minutes`;
  if (rest > 0) return `${hours} h ${rest} min`;
  return hours === 1 ? '1 hour' : `${hours} hours`;
}

/** "20 h", "1 day", "3 days". */
export function daysInWords(days: number): string {
  if (days < 0.95) return `${Math.round(days * 24)} h`;
  const whole = Math.round(days);
  return whole === 1 ? '1 day' : `${whole} days`;
}
