import { useState, type ReactNode } from 'react';
import { Laid } from './laid.js';

/** Something told in one line that opens; what is inside is worked out only while it is open. */
export function Fold({
  summary,
  children,
  size = 13,
}: {
  summary: ReactNode;
  children: () => ReactNode;
  /** Of its text, px. */ size?: number;
}) {
  const [open, setOpen] = useState(false);
  return (
    <Laid.details $above={8} $size={size} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>{summary}</summary>
      {open ? children() : null}
    </Laid.details>
  );
}
