import { QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { type Workshop, WorkshopContext } from '../workshop';

/** What is drawn in a workshop, as the application draws it. */
export const InWorkshop = (props: { readonly workshop: Workshop; readonly children: ReactNode }) => (
  <QueryClientProvider client={props.workshop.client}>
    <WorkshopContext value={props.workshop}>{props.children}</WorkshopContext>
  </QueryClientProvider>
);
