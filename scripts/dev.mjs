// npm run dev: the application with live reload, for daily work.
import { install, tool } from './tools.mjs';

install();
process.exit(tool('vite', []));
