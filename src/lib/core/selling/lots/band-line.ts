import { parseAmount } from '../../money/amount.ts';
import { formatMinor } from '../../money/minor-units.ts';
import { bad, good, type Outcome, type Problem } from '../../problem.ts';
import type { Channel } from '../listings/listing.ts';
import type { ValueBand } from './deal-lots.ts';

const MOST_NAME = 60;
/** A lot of more is a set, or several boxes. */
const MOST_LOT = 10_000;

/**
 * Value bands, a line each. Law: parse(format(x)) = x.
 *
 * @example formatBandLines([{ fromMinor: 0, channel: 'fair', as: 'lot', mostCards: 100 }, { fromMinor: 100, channel: 'market', as: 'single', mostCards: 1 }], 'EUR') // 'from 0.00: lots of 100, fair\nfrom 1.00: singles, market'
 */
export function formatBandLines(bands: readonly ValueBand[], currency: string): string {
	return bands
		.map(({ fromMinor, channel, as, mostCards }) => {
			const how = as === 'single' ? 'singles' : `lots of ${mostCards}`;
			return `from ${formatMinor(fromMinor, currency)}: ${how}, ${channel}`;
		})
		.join('\n');
}

/**
 * Reads such lines. Grammar: `"from " amount ": " ( "singles" / "lots of " n ) ", " channel`, rising by amount.
 */
export function parseBandLines(text: string, currency: string): Outcome<readonly ValueBand[]> {
	const problems: Problem[] = [];
	const bands = linesOf(text).flatMap(({ line, at }): readonly ValueBand[] => {
		const [, from = '', how = '', count, channel = ''] =
			/^from\s+(.+?)\s*:\s*(singles|lots\s+of\s+(\d{1,5}))\s*,\s*(.+)$/i.exec(line) ?? [];
		const amount = parseAmount(from, currency);
		const mostCards = count === undefined ? 1 : Number(count);
		const isRight = amount.ok && amount.value.currency === currency;
		if (!isRight || mostCards < 1 || mostCards > MOST_LOT || channel.length > MOST_NAME) {
			const remedy = 'Write "from 0: lots of 100, fair" or "from 1.00: singles, market".';
			problems.push({ message: `line ${at}: "${line.slice(0, 40)}" is not understood`, remedy });
			return [];
		}
		const as = /^s/i.test(how) ? 'single' : 'lot';
		return [{ fromMinor: amount.value.minor, channel: channel.trim(), as, mostCards }];
	});
	bands.forEach(({ fromMinor }, i) => {
		const before = bands[i - 1];
		if (!before || before.fromMinor < fromMinor) return;
		const message = `${formatMinor(fromMinor, currency)} does not follow on ${formatMinor(before.fromMinor, currency)}`;
		problems.push({ message, remedy: 'Put the lowest value first, each once.' });
	});
	if (bands.length === 0 && problems.length === 0) {
		problems.push({ message: 'there is no band', remedy: 'Write one: "from 0: singles, market".' });
	}
	return problems.length > 0 ? bad(problems) : good(bands);
}

/**
 * Channels, a line each. Law: parse(format(x)) = x.
 *
 * @example formatChannelLines([{ name: 'market', feePercent: 12.5, feeMinor: 30 }, { name: 'fair', feePercent: 0, feeMinor: 0 }], 'EUR') // 'market: 12.5 % + 0.30\nfair: 0 %'
 */
export function formatChannelLines(channels: readonly Channel[], currency: string): string {
	return channels
		.map(({ name, feePercent, feeMinor }) =>
			[
				`${name}: ${feePercent} %`,
				...(feeMinor === 0 ? [] : [formatMinor(feeMinor, currency)])
			].join(' + ')
		)
		.join('\n');
}

/** Reads such lines. Grammar: `name ":" percent "%" [ "+" amount ]`: what is taken of a sale there. */
export function parseChannelLines(text: string, currency: string): Outcome<readonly Channel[]> {
	const problems: Problem[] = [];
	const channels = linesOf(text).flatMap(({ line, at }): readonly Channel[] => {
		const [, name = '', percent = '', fixed] =
			/^([^:]+?)\s*:\s*(\d{1,3}(?:[.,]\d{1,3})?)\s*%\s*(?:\+\s*(.+))?$/.exec(line) ?? [];
		const amount = fixed === undefined ? null : parseAmount(fixed, currency);
		const feePercent = Number(percent.replace(',', '.'));
		const isAmount = amount === null || (amount.ok && amount.value.currency === currency);
		if (name === '' || name.length > MOST_NAME || feePercent > 100 || !isAmount) {
			const remedy = 'Write "market: 12 % + 0.30" or "fair: 0 %".';
			problems.push({ message: `line ${at}: "${line.slice(0, 40)}" is not understood`, remedy });
			return [];
		}
		return [{ name, feePercent, feeMinor: amount?.ok ? amount.value.minor : 0 }];
	});
	const names = channels.map(({ name }) => name);
	for (const name of new Set(names.filter((each, i) => names.indexOf(each) < i))) {
		problems.push({ message: `"${name}" is there twice`, remedy: 'Name each channel once.' });
	}
	return problems.length > 0 ? bad(problems) : good(channels);
}

function linesOf(text: string): readonly { readonly line: string; readonly at: number }[] {
	return text
		.split(/\r?\n/)
		.map((line, i) => ({ line: line.trim(), at: i + 1 }))
		.filter(({ line }) => line !== '');
}
