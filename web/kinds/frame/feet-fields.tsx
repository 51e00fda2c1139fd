import type { ReactNode } from 'react';

import { inch, mm, type Length } from '../../../core/length/index.js';
import type { Feet } from '../../../core/shells/index.js';
import { usePrecision, useTerms } from '../../data/project.js';
import { NumberInput, Select } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { asKg } from '../../../core/measures/index.js';

interface FeetFieldsProps<P> {
  readonly feet: Feet | undefined;
  /** The patch that puts others there. */
  readonly as: (feet: Feet) => P;
  /** Puts it on the floor. */
  readonly onFloor: () => void;
  readonly change: (patch: P, label: string) => void;
  readonly length: (label: string, value: Length, patch: (value: Length) => P) => ReactNode;
  /** What stands on them, as labels say it. */
  readonly of: string;
}

/** What posts stand on: the floor, feet that can be set, or castors. */
export function FeetFields<P>({ feet, as, onFloor, change, length, of }: FeetFieldsProps<P>) {
  const { unit } = usePrecision();
  const t = useTerms();
  const put = (are: Feet['are'] | 'none') => {
    if (are === 'none') return onFloor();
    const high = feet?.high ?? (unit === 'mm' ? mm(are === 'castors' ? 60 : 20) : inch(are === 'castors' ? 2.5 : 0.75));
    change(as({ ...feet, are, high }), 'Changed what it stands on');
  };
  return (
    <>
      <Select
        label={`${of} on`}
        value={feet?.are ?? 'none'}
        choices={[
          { id: 'none', label: 'The floor' },
          { id: 'feet', label: 'Feet that are set' },
          { id: 'castors', label: t('Castors') },
        ]}
        onChange={put}
      />
      {feet ? (
        <>
          {length(`${of}: how high they are`, feet.high, (high) => as({ ...feet, high }))}
          <NumberInput
            label={`${of}: one is rated for, kg`}
            value={feet.rated ?? Number.NaN}
            minValue={1}
            maxValue={5000}
            onChange={(kg) =>
              change(as(Number.isFinite(kg) ? { ...feet, rated: asKg(kg) } : without(feet, 'rated')), 'Changed their rating')
            }
          />
        </>
      ) : null}
    </>
  );
}
