/** Command line: how a rig file's rig bends, rings and holds, as JSON with the model it was reckoned on. */
import { strengthReport } from '@tide-pebble/core/strength';
import { fail, rigFileArgument } from './rigFileArgument';

const { file, loadout, option } = rigFileArgument('strength', ['pose']);
const outcome = strengthReport(file, loadout, option('pose'));
if (!outcome.ok) fail(outcome.reason);
console.log(JSON.stringify(outcome.report, null, 2));
