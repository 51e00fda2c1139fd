import { dequal } from 'dequal/lite';
import { memo, useLayoutEffect, useRef, type ComponentType } from 'react';

type Props = Readonly<Record<string, unknown>>;
type Call = (...given: unknown[]) => unknown;

/**
 * A field that is drawn again only when what it shows is another: what it calls (`onChange` and the like) is always what it was
 * given last. A form of a hundred fields of which one changed costs one field.
 * @param Field takes no elements, and no functions but those that it calls when something is done
 */
export function steady<P extends object>(Field: ComponentType<P>): (props: P) => React.JSX.Element {
  const Kept = memo(Field as ComponentType<object>, dequal);
  return function Steady(props) {
    const given = props as Props;
    const last = useRef(given);
    const calls = useRef<Record<string, Call>>({});
    useLayoutEffect(() => {
      last.current = given;
    });
    const steadied = Object.entries(given).map(([key, value]) => [
      key,
      typeof value === 'function' ? (calls.current[key] ??= (...args) => (last.current[key] as Call)(...args)) : value,
    ]);
    return <Kept {...Object.fromEntries(steadied)} />;
  };
}
