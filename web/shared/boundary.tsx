import { Component, createContext, use, type ComponentType, type ReactNode } from 'react';
import { Link } from 'react-router';
import { RotateCw } from 'lucide-react';
import { Faint, PlainButton, Row } from './plain.js';
import { Laid } from './laid.js';

/** How often what is inside was tried anew. */
const Attempt = createContext(0);

interface Props {
  /** What it is, as the page calls it: "The worksheet". */
  readonly name: string;
  /** What is shown: another value tries anew. */
  readonly showing: string;
  /** A way out of here. */
  readonly back: { readonly to: string; readonly label: string };
  readonly children: ReactNode;
}

interface State {
  readonly error: Error | null;
  readonly attempt: number;
  readonly showing: string;
}

/** Keeps what fails to be drawn to its own part of the page: says so there, with a way to try again and a way out. */
export class Boundary extends Component<Props, State> {
  override state: State = { error: null, attempt: 0, showing: this.props.showing };

  static getDerivedStateFromError(error: Error): Partial<State> {
    return { error };
  }

  static getDerivedStateFromProps(props: Props, state: State): Partial<State> | null {
    if (props.showing === state.showing) return null;
    return { showing: props.showing, error: null, attempt: state.attempt + (state.error ? 1 : 0) };
  }

  override render() {
    const { error, attempt } = this.state;
    if (!error) return <Attempt value={attempt}>{this.props.children}</Attempt>;
    const { name, back } = this.props;
    return (
      <Laid.div role="alert" $pad={16}>
        <h2>{name} could not be shown</h2>
        <Laid.p $above={6} $below={6}>
          Nothing that was saved is lost. Try again, take the last edit back, or go on elsewhere.
        </Laid.p>
        <Row>
          <PlainButton type="button" data-main onClick={() => this.setState({ error: null, attempt: attempt + 1 })}>
            <RotateCw aria-hidden /> Try again
          </PlainButton>
          <Link to={back.to}>{back.label}</Link>
        </Row>
        <p>
          <Faint>What went wrong: {error.message}</Faint>
        </p>
      </Laid.div>
    );
  }
}

/** A part of the page that is fetched; `ahead` begins so before it is shown. */
export type Fetched<P extends object> = ComponentType<P> & { readonly ahead: () => void };

/**
 * A part of the page whose script is fetched when it is first gone to. A script that failed to load is fetched
 * again when the boundary round it tries anew.
 */
export function fetched<P extends object>(load: () => Promise<ComponentType<P>>): Fetched<P> {
  let loading: { readonly script: Promise<ComponentType<P>>; readonly attempt: number; failed: boolean } | null = null;
  const start = (attempt: number) => {
    if (loading && !(loading.failed && loading.attempt !== attempt)) return loading.script;
    const begun = { script: load(), attempt, failed: false };
    begun.script.catch(() => (begun.failed = true));
    loading = begun;
    return begun.script;
  };
  const Part = (props: P) => {
    const Loaded = use(start(use(Attempt)));
    return <Loaded {...props} />;
  };
  return Object.assign(Part, { ahead: () => void start(0) });
}
