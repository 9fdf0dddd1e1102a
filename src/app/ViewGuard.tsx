import { Component, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { NotHere } from './NotHere';

interface BoundaryProps {
  /** Where one is: going elsewhere is a new try. */
  readonly place: string;
  readonly children: ReactNode;
}

interface Failure {
  readonly error: unknown;
}

interface BoundaryState {
  /** Where it was when it failed, or last was well. */
  readonly place: string;
  readonly failure: Failure | null;
}

class Boundary extends Component<BoundaryProps, BoundaryState> {
  override state: BoundaryState = { place: this.props.place, failure: null };
  static getDerivedStateFromError(error: unknown): Partial<BoundaryState> {
    return { failure: { error } };
  }
  static getDerivedStateFromProps({ place }: BoundaryProps, state: BoundaryState): BoundaryState | null {
    return place === state.place ? null : { place, failure: null };
  }
  override render(): ReactNode {
    const { failure } = this.state;
    return failure ? <NotHere error={failure.error} /> : this.props.children;
  }
}

/** Stands round a view: what fails in it is told in its place, until one goes elsewhere. */
export const ViewGuard = ({ children }: { readonly children: ReactNode }) => (
  <Boundary place={useLocation().key}>{children}</Boundary>
);
