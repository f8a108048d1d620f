import { Component, type ReactNode } from 'react';
import { Button } from '../ui/Button.tsx';
import { NotCome } from '../ui/chunk.tsx';

interface Props {
  readonly children: ReactNode;
}
interface State {
  readonly error: Error | null;
}

/**
 * A screen that breaks does not take the others with it: it says so, and the rest of the shop is a touch away. Nothing that was
 * entered is lost: what was sent waits in the outbox.
 */
export class ScreenGuard extends Component<Props, State> {
  override state: State = { error: null };

  static getDerivedStateFromError(error: Error): State {
    return { error };
  }

  override render(): ReactNode {
    const { error } = this.state;
    if (!error) return this.props.children;
    return (
      <section
        role="alert"
        className="m-6 flex max-w-[640px] flex-col gap-3 border-l-4 border-bad bg-panel p-4"
      >
        <h1 className="text-[20px]">
          {error instanceof NotCome ? 'This screen did not come' : 'This screen broke'}
        </h1>
        {error instanceof NotCome ? (
          <p>
            It was not opened on this device yet, and Calvetta does not answer, or was brought up to date
            meanwhile. What you stored is safe. Try again; where that does not help, load the page anew.
          </p>
        ) : (
          <p>
            What you stored is safe, and the other screens work. Try again; if it breaks again, tell whoever
            keeps Calvetta what it says here.
          </p>
        )}
        <pre className="figure overflow-x-auto bg-ground p-2 text-[13px] whitespace-pre-wrap">
          {error.message}
        </pre>
        <div className="flex gap-2">
          <Button look="main" onClick={() => this.setState({ error: null })}>
            Try again
          </Button>
          {error instanceof NotCome ? (
            <Button onClick={() => location.reload()}>Load the page anew</Button>
          ) : null}
        </div>
      </section>
    );
  }
}
