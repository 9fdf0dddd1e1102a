import { Component, type ReactNode } from 'react';

interface GuardedProps {
  readonly children: ReactNode;
  /** What stands in the place of something that could not be shown. */
  readonly instead: (why: string) => ReactNode;
}

/** Keeps what cannot be shown from taking down what stands beside it. */
export class Guarded extends Component<GuardedProps, { readonly why: string | null }> {
  override state = { why: null };

  static getDerivedStateFromError(error: unknown): { readonly why: string } {
    return { why: error instanceof Error ? error.message : String(error) };
  }

  override render(): ReactNode {
    return this.state.why === null ? this.props.children : this.props.instead(this.state.why);
  }
}
