import { parseAmount, type Amount } from '../../money/amount.ts';
import type { Reader } from './line-reader.ts';
import type { OutlineLine } from './outline.ts';
import { partsOf } from './read-runs.ts';

type PackLine = OutlineLine & { readonly kind: 'pack' };
const EXAMPLE =
	'Write: pack Hobby: 10 cards, 36 packs, 12 boxes, 2 Fresnel or Storm Log a box, 1.50 EUR, form wrapper';
const COUNTED = [
	['card', 'cards'],
	['pack', 'packs'],
	['box', 'boxes']
] as const;

/** A kind of pack: what it holds, costs and is, or the packs that it is made of. */
export function readPack(name: string, tail: string, reader: Reader): PackLine | null {
	if (name === '') return reader.wrong('pack', 'the pack has no name', EXAMPLE);
	const said: {
		cards?: number;
		packs?: number;
		boxes?: number;
		guarantees?: string[];
		price?: Amount;
		form?: string;
		madeOf?: readonly { count: number; pack: string }[];
	} = {};
	for (const part of partsOf(tail)) {
		const [, count, what = ''] = /^([1-9]\d{0,3})\s*(card|pack|box)e?s?$/i.exec(part) ?? [];
		const [, guarantee] = /^([1-9]\d{0,3}\s.+) a box$/i.exec(part) ?? [];
		const [, form] = /^form (.+)$/i.exec(part) ?? [];
		const [, packs] = /^made of (.+)$/i.exec(part) ?? [];
		const madeOf = packs ? readPacks(packs) : null;
		const price = parseAmount(part, null);
		const counted = COUNTED.find(([word]) => word === what.toLowerCase());
		if (counted) said[counted[1]] = Number(count);
		else if (guarantee) said.guarantees = [...(said.guarantees ?? []), guarantee];
		else if (form) said.form = form;
		else if (madeOf) said.madeOf = madeOf;
		else if (price.ok) said.price = price.value;
		else return reader.wrong(part, 'this is not understood of a pack', EXAMPLE);
	}
	return { kind: 'pack', name, ...said };
}

/** "2 Hobby + 1 Bonus"; null where an entry has no number. */
function readPacks(list: string): readonly { count: number; pack: string }[] | null {
	const packs = list.split(/\s*\+\s*/).map((entry) => {
		const [, count, pack] = /^([1-9]\d{0,3})\s*[×x]?\s+(.+)$/i.exec(entry) ?? [];
		return count && pack ? { count: Number(count), pack } : null;
	});
	return packs.every((entry) => entry !== null) ? packs : null;
}
