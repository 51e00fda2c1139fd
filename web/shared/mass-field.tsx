import { KG_PER_POUND } from '../../core/figure/index.js';
import { usePrecision } from '../data/project.js';
import { NumberInput } from './ui.js';

/**
 * The field of a mass that is kept in kg: typed in kg, or in pounds by those who work in inches.
 * @param value kg; NaN for none
 */
export function MassField({
  label,
  value,
  least = 0,
  most,
  onChange,
  onBlur,
}: {
  label: string;
  value: number;
  least?: number;
  /** kg */
  most: number;
  onChange: (kg: number) => void;
  onBlur?: () => void;
}) {
  const { unit } = usePrecision();
  const [name, each] = unit === 'mm' ? (['kg', 1] as const) : (['lb', KG_PER_POUND] as const);
  const shown = (kg: number) => Number((kg / each).toFixed(3));
  return (
    <NumberInput
      label={`${label}, ${name}`}
      value={shown(value)}
      // What was not typed over is not rounded by being shown.
      onChange={(typed) => typed !== shown(value) && onChange(typed * each)}
      minValue={shown(least)}
      maxValue={shown(most)}
      step={0.001}
      formatOptions={{ maximumFractionDigits: 3, useGrouping: false }}
      {...(onBlur ? { onBlur } : {})}
    />
  );
}
