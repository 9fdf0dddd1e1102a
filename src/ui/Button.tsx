import type { ButtonHTMLAttributes, ReactNode } from 'react';

const LOOK = {
  plain: 'border border-rim bg-soap hover:border-ink',
  main: 'border border-ink bg-ink text-soap hover:opacity-90',
  bare: 'border border-transparent hover:border-rim',
} as const;

/** Dry: for mouse and keys. Wet: at least 64 px, for an elbow. */
const SIZE = {
  dry: 'min-h-9 px-3 py-1',
  wet: 'min-h-16 px-4 py-2 text-xl font-medium touch-manipulation',
} as const;

export interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly look?: keyof typeof LOOK;
  readonly size?: keyof typeof SIZE;
  readonly children: ReactNode;
}

export const buttonClass = (look: keyof typeof LOOK, size: keyof typeof SIZE): string =>
  `inline-flex items-center justify-center gap-2 rounded-bench disabled:opacity-45 ${LOOK[look]} ${SIZE[size]}`;

/** A button of the bench. It never submits anything. */
export const Button = ({ look = 'plain', size = 'dry', className = '', ...rest }: ButtonProps) => (
  <button type="button" className={`${buttonClass(look, size)} ${className}`} {...rest} />
);
