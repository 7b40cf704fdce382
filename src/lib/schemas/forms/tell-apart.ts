import { Type } from 'typebox';
import { idOf, list } from '../vocabulary.ts';
import { Key, Name } from './fields.ts';

/* Forms of telling apart. */

export const LookAlikesFormSchema = Type.Object({
	name: Name,
	of: list(Key, 50),
	note: Type.String({ maxLength: 2000 })
});
export const LookAlikesIdFormSchema = Type.Object({ id: idOf('look_alikes', 'Reload the page.') });

export const PrintingFormSchema = Type.Object({
	copy: idOf('copies', 'Reload the page.'),
	version: Key,
	quantity: Type.Integer({ minimum: 1, maximum: 1_000_000, description: 'Say how many.' })
});
