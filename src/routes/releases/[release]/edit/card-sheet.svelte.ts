import { wholeSections } from '$lib/core/checklist/edition';
import { CARD_COLUMNS } from '$lib/core/checklist/rule-sheet/card-columns';
import { sheetNamesOf } from '$lib/core/checklist/rule-sheet/rule-sheet';
import { refreshAll } from '$lib/ui/refresh';
import type { CardMark } from '$lib/core/checklist/card';
import type { CardEdit, CardEdits } from '$lib/core/checklist/edit-cards';
import type { Release } from '$lib/core/checklist/release';
import type { Problem } from '$lib/core/problem';
import { createTurns } from '$lib/ui/in-turn';
import { send } from '$lib/ui/send';

type LineField = 'number' | 'title' | 'group' | 'subjects' | 'rarity';
/** A field of a card's line, or, behind "record ", the key of a column of what is known beside it. */
export type TextField = LineField | `record ${string}`;

/** The columns of which the sheet shows one besides number, title, group and subjects. */
export const LAST_COLUMNS: readonly {
	readonly field: TextField;
	readonly name: string;
	readonly hint: string;
}[] = [
	{ field: 'rarity', name: 'Rarity', hint: '' },
	...CARD_COLUMNS.map(({ key, name, hint }) => ({
		field: `record ${key}` as const,
		name,
		hint
	}))
];

/** A row of the sheet: a card as it will be, with what has become of it. */
export interface SheetRow {
	readonly key: string;
	readonly text: Readonly<Record<LineField, string>>;
	/** What stands in the last column. */
	readonly last: string;
	/** Repeated by an edition: number, title and group may differ from the card it repeats. */
	readonly isRepeated: boolean;
	readonly marks: readonly CardMark[];
	readonly state: 'same' | 'changed' | 'removed' | 'added';
	readonly isChosen: boolean;
}

type Draft = Partial<Record<TextField, string>> & { readonly marks?: readonly CardMark[] };

/** A draft as fields of an edit. */
function fieldsOf({ subjects, marks, ...texts }: Draft): Omit<CardEdit, 'card' | 'seen'> {
	const cells = Object.entries(texts).flatMap(([field, text]) => {
		const column = /^record (.*)$/.exec(field)?.[1];
		return column === undefined || text === undefined ? [] : [[column, text] as const];
	});
	const line = Object.entries(texts).filter(([field]) => !field.startsWith('record '));
	const list = subjects
		?.split(';')
		.map((subject) => subject.trim())
		.filter(Boolean);
	return {
		...Object.fromEntries(line),
		...(marks ? { marks } : {}),
		...(list ? { subjects: list } : {}),
		...(cells.length > 0 ? { record: Object.fromEntries(cells) } : {})
	};
}

/** Edits of a checklist before they are saved, and the rows that are chosen for a bulk edit. */
export function createCardSheet(release: () => Release) {
	let sectionKey = $state(release().sections[0]?.key ?? '');
	let lastField = $state<TextField>('rarity');
	let drafts = $state.raw<Readonly<Record<string, Draft>>>({});
	/** What stood in the fields of drafts when they were begun: another window may change it meanwhile. */
	let seen: Readonly<Record<string, Draft>> = {};
	let removed = $state.raw<readonly string[]>([]);
	let added = $state.raw<readonly { readonly key: string; readonly section: string }[]>([]);
	let chosen = $state.raw<readonly string[]>([]);
	let anchor = '';
	let addedSoFar = 0;
	let problems = $state.raw<readonly Problem[]>([]);
	let busy = $state(false);
	const inTurn = createTurns();

	const section = $derived(release().sections.find(({ key }) => key === sectionKey));
	const whole = $derived(wholeSections(release()).find(({ key }) => key === sectionKey));
	const names = $derived(sheetNamesOf(release()));
	const lastColumn = $derived(CARD_COLUMNS.find(({ key }) => lastField === `record ${key}`));
	const rows = $derived.by((): SheetRow[] => {
		const gone = new Set(removed);
		const picked = new Set(chosen);
		const ofSection = new Set((section?.cards ?? []).map(({ key }) => key));
		const listed = (whole?.cards ?? []).map((card) => {
			const draft = drafts[card.key];
			return {
				key: card.key,
				last:
					draft?.[lastField] ?? (lastColumn ? lastColumn.write(card, names) : (card.rarity ?? '')),
				isRepeated: !ofSection.has(card.key),
				text: {
					number: draft?.number ?? card.number ?? '',
					title: draft?.title ?? card.title,
					group: draft?.group ?? card.group ?? '',
					rarity: draft?.rarity ?? card.rarity ?? '',
					subjects: draft?.subjects ?? card.subjects.join('; ')
				},
				marks: draft?.marks ?? card.marks,
				state: gone.has(card.key)
					? ('removed' as const)
					: draft
						? ('changed' as const)
						: ('same' as const),
				isChosen: picked.has(card.key)
			};
		});
		const fresh = added
			.filter((card) => card.section === sectionKey)
			.map(({ key }) => ({
				key,
				text: { number: '', title: '', group: '', rarity: '', subjects: '', ...drafts[key] },
				last: '',
				isRepeated: false,
				marks: [],
				state: 'added' as const,
				isChosen: picked.has(key)
			}));
		return [...listed, ...fresh];
	});
	const addedKeys = $derived(new Set(added.map(({ key }) => key)));
	const changedKeys = $derived(
		Object.keys(drafts).filter((key) => !addedKeys.has(key) && !removed.includes(key))
	);
	const count = $derived(changedKeys.length + removed.length + added.length);

	const edits = (): CardEdits => ({
		change: changedKeys.map((key): CardEdit => ({
			card: key,
			...fieldsOf(drafts[key] ?? {}),
			seen: fieldsOf(seen[key] ?? {})
		})),
		remove: removed,
		add: added.map(({ key, section: into }) => ({
			section: into,
			number: drafts[key]?.number ?? '',
			title: drafts[key]?.title ?? ''
		}))
	});

	/** What stands in the fields of a draft without it. */
	function standing(key: string, draft: Draft): Draft {
		const card = whole?.cards.find((each) => each.key === key) ?? cardOf(key);
		if (!card) return {};
		const textOf = (field: TextField): string => {
			const column = CARD_COLUMNS.find((each) => field === `record ${each.key}`);
			if (column) return column.write(card, names);
			if (field === 'subjects') return card.subjects.join('; ');
			return card[field as 'number' | 'title' | 'group' | 'rarity'] ?? '';
		};
		const { marks, ...texts } = draft;
		return {
			...Object.fromEntries(Object.keys(texts).map((field) => [field, textOf(field as TextField)])),
			...(marks ? { marks: card.marks } : {})
		};
	}
	const cardOf = (key: string) =>
		release()
			.sections.flatMap(({ cards }) => cards)
			.find((each) => each.key === key);

	/** Writes into drafts; what stands in a field is remembered when it is first written into. */
	function draw(changes: Readonly<Record<string, Draft>>) {
		const begun = Object.entries(changes).map(
			([key, draft]) => [key, { ...standing(key, draft), ...seen[key] }] as const
		);
		seen = { ...seen, ...Object.fromEntries(begun) };
		const written = Object.entries(changes).map(
			([key, draft]) => [key, { ...drafts[key], ...draft }] as const
		);
		drafts = { ...drafts, ...Object.fromEntries(written) };
	}

	async function saveNow() {
		if (count === 0) return;
		busy = true;
		const sent = { drafts, removed, added };
		const outcome = await send('PUT', `/api/releases/${release().key}/cards`, edits());
		problems = outcome.ok ? [] : outcome.problems;
		await refreshAll();
		// What another window wrote is seen now: who saves again means it.
		seen = Object.fromEntries(
			Object.entries(drafts).map(([key, draft]) => [key, standing(key, draft)])
		);
		if (outcome.ok) {
			// What was typed while it was being saved stays.
			drafts = Object.fromEntries(
				Object.entries(drafts).filter(([key, draft]) => draft !== sent.drafts[key])
			);
			removed = removed.filter((key) => !sent.removed.includes(key));
			added = added.filter((card) => !sent.added.includes(card));
		}
		busy = false;
	}

	return {
		get sectionKey() {
			return sectionKey;
		},
		set sectionKey(key: string) {
			sectionKey = key;
			chosen = [];
		},
		/** Which column stands last. */
		get lastField() {
			return lastField;
		},
		set lastField(field: TextField) {
			lastField = field;
		},
		get rows() {
			return rows;
		},
		get count() {
			return count;
		},
		get chosenCount() {
			return chosen.length;
		},
		get problems() {
			return problems;
		},
		get busy() {
			return busy;
		},
		write(key: string, field: TextField, value: string) {
			draw({ [key]: { [field]: value } });
		},
		/** Chooses a row; with Shift the run from the one chosen before. */
		choose(key: string, extend: boolean) {
			const keys = rows.map((row) => row.key);
			const from = keys.indexOf(anchor);
			const to = keys.indexOf(key);
			if (extend && from >= 0) {
				const run = keys.slice(Math.min(from, to), Math.max(from, to) + 1);
				chosen = [...new Set([...chosen, ...run])];
			} else {
				chosen = chosen.includes(key) ? chosen.filter((other) => other !== key) : [...chosen, key];
				anchor = key;
			}
		},
		chooseAll() {
			chosen = chosen.length === rows.length ? [] : rows.map(({ key }) => key);
		},
		/** Sets a field of every chosen row. */
		writeChosen(field: TextField, value: string) {
			draw(Object.fromEntries(chosen.map((key) => [key, { [field]: value }])));
		},
		markChosen(mark: CardMark) {
			const marksOf = new Map(rows.map(({ key, marks }) => [key, marks]));
			const isOnAll = chosen.every((key) => marksOf.get(key)?.includes(mark));
			const next = (key: string) => {
				const marks = (marksOf.get(key) ?? []).filter((other) => other !== mark);
				return isOnAll ? marks : [...marks, mark];
			};
			draw(Object.fromEntries(chosen.map((key) => [key, { marks: next(key) }])));
		},
		removeChosen() {
			const gone = new Set(chosen);
			removed = [...new Set([...removed, ...chosen.filter((key) => !addedKeys.has(key))])];
			added = added.filter(({ key }) => !gone.has(key));
			chosen = [];
		},
		addCard() {
			added = [...added, { key: `new ${++addedSoFar}`, section: sectionKey }];
		},
		discard() {
			drafts = {};
			seen = {};
			removed = [];
			added = [];
			chosen = [];
			problems = [];
		},
		/** A second save waits for the first and takes what was typed meanwhile. */
		save: () => inTurn(saveNow)
	};
}

export type CardSheet = ReturnType<typeof createCardSheet>;
