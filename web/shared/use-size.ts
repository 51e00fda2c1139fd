import { useEffect, useState } from 'react';

/** Measures a box as it is laid out, from when it is there. */
export function useSize() {
  const [box, ref] = useState<HTMLDivElement | null>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    if (!box) return;
    const observer = new ResizeObserver(
      ([entry]) => entry && setSize({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    observer.observe(box);
    return () => observer.disconnect();
  }, [box]);
  return { ref, size };
}
