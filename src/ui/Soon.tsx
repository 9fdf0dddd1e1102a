import type { ReactNode } from 'react';
import { useSteps } from './useSteps';

/** What is drawn a frame after what stands round it, in room that is kept for it: what was tapped for is seen first. */
export const Soon = ({ children }: { readonly children: ReactNode }): ReactNode =>
  useSteps(2) > 1 ? children : <span aria-hidden="true" />;
