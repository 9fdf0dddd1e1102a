import { createContext, use } from 'react';

/** What the shell can do, for whatever bar stands at the top. */
interface ShellActs {
  readonly isDark: boolean;
  readonly openHelp: () => void;
}

export const ShellActsContext = createContext<ShellActs>({ isDark: false, openHelp: () => undefined });

export const useShellActs = (): ShellActs => use(ShellActsContext);
