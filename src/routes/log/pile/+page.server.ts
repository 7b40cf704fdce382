import { groups } from 'd3-array';
import { fail, redirect } from '@sveltejs/kit';
import { ClassLinesFormSchema } from '$lib/schemas/forms/releases';
import { HandFormSchema, PileIdFormSchema } from '$lib/schemas/forms/log';
import { readFormOf } from '$lib/server/read-form';
import { theCollection } from '$lib/server/collection';
import { listSynonyms } from '$lib/server/copies/synonyms';
import { nameOfDay, findPile, listTrays } from '$lib/server/copies/trays';
import { friendLines, setFriendWants } from '$lib/server/pile/friend-lists';
import { handOver } from '$lib/server/pile/hand-over';
import { protectPile, readProtection } from '$lib/server/pile/protect-pile';
import { readLying } from '$lib/server/pile/read-lying';
import { beginPile } from '$lib/server/pile/read-pile';
import { setClassLines } from '$lib/server/preferences/storage-classes';
import { readKeeping } from '$lib/server/places/keeping';
import { listBinders } from '$lib/server/binders/read-binder';

/** What a pile is judged by: read once; while it is gone through, the page keeps it up to date itself. */
export const load = async ({ url }) => {
	const { db, now } = await theCollection();
	const pile = await findPile(db, Number(url.searchParams.get('pile')) || nameOfDay(now()));
	const lying = await readLying(db, pile?.toSort?.id ?? null);
	const text = (name: 'year' | 'maker') =>
		(url.searchParams.get(name) ?? pile?.toSort?.[name] ?? pile?.toLog?.[name] ?? '').slice(0, 200);
	const hint = { year: text('year'), maker: text('maker') };
	const only = url.searchParams.get('release');
	const versions = [...lying.last.map(({ version }) => version), ...(pile?.toLog?.drawn ?? [])];
	return {
		hint,
		only,
		view: await beginPile(db, only, hint, versions),
		synonyms: await listSynonyms(db),
		keeping: (await readKeeping(db)).rules,
		friends: await friendLines(db),
		pile,
		lying,
		protection: await readProtection(db, pile?.toSort?.id ?? null),
		binders: (await listBinders(db)).flatMap(({ id, goals }) =>
			goals.map(({ name }) => ({ goal: name, binder: id }))
		),
		others: groups(
			(await listTrays(db)).filter(
				({ tray, name }) => tray !== 'never to log' && name !== pile?.name
			),
			({ name }) => name
		).map(([name, rows]) => ({ name, rows }))
	};
};

export const actions = {
	/** The storage classes, a line each; with any problem none is changed. */
	classes: async ({ request }) => {
		const form = await readFormOf(request, ClassLinesFormSchema);
		if (!form.ok) return fail(400, { of: 'classes', problems: form.problems });
		const outcome = await setClassLines(await theCollection(), form.value.lines);
		return outcome.ok
			? { of: 'classes', problems: [], classes: outcome.value }
			: fail(400, { of: 'classes', problems: outcome.problems });
	},
	/** What friends want, a line each; with any problem none is changed. */
	friends: async ({ request }) => {
		const form = await readFormOf(request, ClassLinesFormSchema);
		if (!form.ok) return fail(400, { of: 'friends', problems: form.problems });
		const outcome = await setFriendWants(await theCollection(), form.value.lines);
		return outcome.ok
			? { of: 'friends', problems: [] }
			: fail(400, { of: 'friends', problems: outcome.problems });
	},
	/** Hands a pile over: to a slip, to what is to sell, or as put away. */
	hand: async ({ request }) => {
		const form = await readFormOf(request, HandFormSchema);
		if (!form.ok) return fail(400, { of: 'hand', problems: form.problems });
		const { pile, to, ...of } = form.value;
		const outcome = await handOver(await theCollection(), pile, of, to);
		if (!outcome.ok) return fail(409, { of: 'hand', problems: outcome.problems });
		const { slip } = outcome.value;
		if (slip !== null) redirect(303, `/boxes/slips/${slip}`);
		return { of: 'hand', problems: [], handed: { ...outcome.value, to } };
	},
	/** The cards of the pile are in the holders that their value asks for. */
	protect: async ({ request }) => {
		const form = await readFormOf(request, PileIdFormSchema);
		if (!form.ok) return fail(400, { of: 'protect', problems: form.problems });
		const outcome = await protectPile(await theCollection(), form.value.pile);
		return outcome.ok
			? { of: 'protect', problems: [] }
			: fail(409, { of: 'protect', problems: outcome.problems });
	}
};
