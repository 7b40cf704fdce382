import type { LayoutChoice } from '../../core/binder/binder-layout.ts';
import { bad, good, type Outcome } from '../../core/problem.ts';
import { LayoutChangeSchema } from '../../schemas/binder.ts';
import { textOf } from '../form-fields.ts';
import { checkAgainst } from '../../schemas/validator.ts';

const WHOLE = ['cardsAPocket', 'reserve', 'slack'];
const WORDS = [
	'pageKind',
	'order',
	'blockStart',
	'missing',
	'variants',
	'parallels',
	'pulled',
	'binderKind'
];

/** A change of layout out of a form: fields that are not there stay as they are. */
export function readLayoutForm(form: FormData): Outcome<Partial<LayoutChoice>> {
	const change: Record<string, unknown> = {};
	for (const field of WORDS) if (form.has(field)) change[field] = textOf(form, field);
	for (const field of WHOLE) {
		const text = textOf(form, field);
		if (form.has(field)) change[field] = /^\d{1,6}$/.test(text) ? Number(text) : text;
	}
	if (form.has('titlePocket')) change.titlePocket = form.get('titlePocket') === 'yes';
	const problems = checkAgainst(LayoutChangeSchema, change);
	return problems.length > 0 ? bad(problems) : good(change as Partial<LayoutChoice>);
}
