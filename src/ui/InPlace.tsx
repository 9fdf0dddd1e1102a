import { Portal } from 'radix-ui';
import type { ReactElement } from 'react';

/** One element, put into a place elsewhere on the page; nowhere while that is not there. */
export const InPlace = (props: { readonly place: HTMLElement | null; readonly children: ReactElement }) =>
  props.place && (
    <Portal.Root asChild container={props.place}>
      {props.children}
    </Portal.Root>
  );
