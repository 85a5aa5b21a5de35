/** Command line: reads a rig file and prints its figures as JSON, the same as the screens show. */
import { analyse } from '@tide-pebble/core/making';
import { fail, rigFileArgument } from './rigFileArgument';

const { file, loadout } = rigFileArgument('analyse');
const outcome = analyse(file, loadout);
if (!outcome.ok) fail(outcome.reason);
console.log(JSON.stringify(outcome.result, null, 2));
