import { Type } from 'typebox';
import { ROLES } from '../role.ts';
import { idOf } from '../vocabulary.ts';

/* Forms of who may look and who may change. */

/** Published: NIST SP 800-63B, section 5.1.1.2: at least 8 characters, at least 64 allowed, no rules of composition. */
const LEAST_CHARACTERS = 8;
const passphrase = (description: string) =>
	Type.String({ maxLength: 200, contentMediaType: 'text/plain', description });

export const SignInFormSchema = Type.Object({
	passphrase: passphrase('Write the passphrase.'),
	to: Type.Optional(Type.String({ maxLength: 5000 }))
});
export const PassphraseFormSchema = Type.Object({
	role: Type.Enum([...ROLES]),
	passphrase: Type.String({
		minLength: LEAST_CHARACTERS,
		maxLength: 200,
		contentMediaType: 'text/plain',
		description: `Write ${LEAST_CHARACTERS} characters or more; a few words that only you would put together are best.`
	})
});
export const RoleFormSchema = Type.Object({ role: Type.Enum([...ROLES]) });
/** Whom a list is shared with. */
export const SharedListFormSchema = Type.Object({
	name: Type.String({ minLength: 1, maxLength: 100, description: 'Say whom it is for.' })
});
export const WithdrawFormSchema = Type.Object({
	list: idOf('shared_lists', 'Choose a list that is shared.')
});
