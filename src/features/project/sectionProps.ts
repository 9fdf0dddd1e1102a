import type { Project } from '../../records/project';

/** Changes the project, with what undo calls it. */
export type Change = (change: (project: Project) => Project, label: string) => void;
/** What every section of a project stands on. */
export interface SectionProps {
  readonly project: Project;
  readonly change: Change;
}
