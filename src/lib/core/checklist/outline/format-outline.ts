import type { NumberRun, OutlineLine, RunTarget } from './outline.ts';

/** Writes an outline: what `parseOutline` reads back as the same lines. */
export function formatOutline(lines: readonly OutlineLine[]): string {
	return lines.map(formatLine).join('\n');
}

function formatLine(line: OutlineLine): string {
	switch (line.kind) {
		case 'comment':
			return `# ${line.text}`.trim();
		case 'release':
			return `release ${line.name}, ${line.maker}, ${line.year}`;
		case 'pack':
			return withTail(`pack ${line.name}`, [
				line.cards ? `${line.cards} cards` : '',
				line.packs ? `${line.packs} packs` : ''
			]);
		case 'series':
			return `series ${line.name}: ${formatRun(line)}`;
		case 'parallel':
			return withTail(`parallel ${line.name}`, line.targets.map(formatTarget));
		case 'variant':
			return `${line.variant} ${line.runs.map(formatRun).join(' + ')}${line.section ? ` in ${line.section}` : ''}: ${line.name}`;
		case 'section':
			return formatSection(line);
	}
}

function formatSection(line: OutlineLine & { readonly kind: 'section' }): string {
	const parent = line.numberedIn ? ` in ${line.numberedIn}` : '';
	const repeated = line.editionOf ? ` of ${line.editionOf.join(' + ')}` : '';
	return withTail(`${line.section} ${line.name}${parent}${repeated}`, [
		...line.runs.map(formatRun),
		line.count ? `${line.count} cards` : '',
		...line.odds.map(({ pack, odds }) => `${pack} ${odds}`),
		line.printRun ? `/${line.printRun}` : '',
		line.statedTotal ? `stated ${line.statedTotal}` : '',
		line.listed === undefined ? '' : line.listed ? 'listed' : 'unlisted',
		line.grid ? `grid ${line.grid.columns}x${line.grid.rows}` : '',
		line.strip ? `strip ${line.strip}` : '',
		...line.without.map((run) => `without ${formatRun(run)}`)
	]);
}

function formatTarget({ section, run, isExcluded, printRun }: RunTarget): string {
	const what = run ? formatRun(run) : (section ?? 'all');
	return `${isExcluded ? 'not ' : ''}${what}${printRun ? ` /${printRun}` : ''}`;
}

function formatRun({ from, to }: NumberRun): string {
	return from === to ? from : `${from}–${to}`;
}

function withTail(head: string, parts: readonly string[]): string {
	const tail = parts.filter(Boolean).join(', ');
	return tail === '' ? head : `${head}: ${tail}`;
}
