/** Command line: reads a rig file and prints the whole rig as JSON: every piece, what holds it, its bill, marks and steps. */
import { wholeOfFile } from '@tide-pebble/core/making';
import { fail, rigFileArgument } from './rigFileArgument';
import { kit } from './solids';

const { file, loadout } = rigFileArgument('whole');
const outcome = wholeOfFile(file, loadout, kit);
if (!outcome.ok) fail(outcome.reason);
console.log(JSON.stringify(outcome.whole, null, 2));
