import { type ComponentType, memo, type ReactNode, useDeferredValue } from 'react';

/**
 * Draws a part a moment after what stands round it, between two keys: what is typed or tapped is seen at once, however much follows from it.
 * For what is looked at, and for fields that change what is kept and not what they show; a handle that steps from what it shows would lose steps.
 */
export const calmly = <P extends object>(Part: ComponentType<P>): ((props: P) => ReactNode) => {
  const Still = memo(({ props }: { readonly props: P }) => <Part {...props} />);
  const Calm = (props: P): ReactNode => <Still props={useDeferredValue(props)} />;
  return Calm;
};
