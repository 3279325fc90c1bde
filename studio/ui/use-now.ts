import { useEffect, useState } from 'react';

/** So often the time is told anew; in ms. */
const lookMs = 30_000;

/** The time, told anew now and then, so that what has ended meanwhile is not told to go on. */
export function useNow(): Date {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date()), lookMs);
    return () => clearInterval(timer);
  }, []);
  return now;
}
