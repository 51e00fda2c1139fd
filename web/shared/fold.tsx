import { useState, type CSSProperties, type ReactNode } from 'react';

/** Something told in one line that opens; what is inside is worked out only while it is open. */
export function Fold({ summary, children, style }: { summary: ReactNode; children: () => ReactNode; style?: CSSProperties }) {
  const [open, setOpen] = useState(false);
  return (
    <details style={{ marginTop: 8, fontSize: 13, ...style }} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>{summary}</summary>
      {open ? children() : null}
    </details>
  );
}
