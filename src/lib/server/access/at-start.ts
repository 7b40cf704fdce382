import type { Collection } from '../database/open.ts';
import type { Settings } from '../database/settings.ts';
import { StartProblem } from '../database/start-problem.ts';
import { PassphraseFormSchema } from '../../schemas/forms/access.ts';
import { checkAgainst } from '../../schemas/validator.ts';
import { guardedRoles, roleOfPassphrase, setPassphrase } from './passphrases.ts';

/**
 * Sets the owner's passphrase where the environment names one (which is also the way back for an owner who forgot it), and sees to it
 * that a server which others reach has one.
 *
 * @throws StartProblem
 */
export async function guardAtStart(collection: Collection, settings: Settings): Promise<void> {
	const { passphrase, isBeyondLoopback, host } = settings;
	if (passphrase !== null) {
		const [problem] = checkAgainst(PassphraseFormSchema, { role: 'owner', passphrase });
		if (problem) throw new StartProblem('JADE_PASSPHRASE is no passphrase', problem.message);
		// Where it is that already, sessions go on.
		if ((await roleOfPassphrase(collection.db, passphrase)) !== 'owner') {
			const set = await setPassphrase(collection, 'owner', passphrase);
			if (!set.ok) {
				throw new StartProblem(
					'JADE_PASSPHRASE is the passphrase of the viewer',
					'Choose another one.'
				);
			}
		}
	}
	if (isBeyondLoopback && !(await guardedRoles(collection.db)).includes('owner')) {
		throw new StartProblem(
			`HOST=${host} lets others reach this collection, and it has no passphrase`,
			'Start once with JADE_PASSPHRASE=…, or start without HOST and set one at Journal, Access.'
		);
	}
}
