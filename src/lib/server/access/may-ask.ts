import type { Role } from '../../schemas/role.ts';

/** What is asked of the server, as far as it matters who asks. */
export interface Asked {
	readonly method: string;
	/** The route as the folders name it; null: there is none. */
	readonly route: string | null;
}

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** What a person needs who is nobody yet, or was given a link. */
const FOR_ALL = new Set(['/sign-in', '/shared/[list]', '/shared/[list]/wants.csv']);
/** What is asked by POST and changes nothing but what the asking browser keeps. */
const CHANGES_NOTHING = new Set([
	'/api/compute/[name]',
	'/api/goals/slots',
	'/sign-in',
	'/sign-out',
	'/theme'
]);
/** What holds all there is, or says who may see it. */
const FOR_THE_OWNER = new Set(['/api/backups/[file]', '/journal/access', '/journal/backups']);

/** Whether a role, or null for nobody, may ask that. A link to a list is read only. */
export function mayAsk(role: Role | null, { method, route }: Asked): boolean {
	if (role === 'owner') return true;
	const reads = READS.has(method) || (route !== null && CHANGES_NOTHING.has(route));
	if (route !== null && FOR_ALL.has(route)) return reads;
	if (role === null) return false;
	return reads && !(route !== null && FOR_THE_OWNER.has(route));
}
