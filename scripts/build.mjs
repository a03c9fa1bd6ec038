// npm run build: the engine, the command line, the server and the page.
import { buildEngine, buildPage, install, needNode } from './steps.mjs';

needNode();
install();
buildEngine();
buildPage();
