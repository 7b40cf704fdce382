<script lang="ts">
	import type { LadderView } from '$lib/server/worth/ladder-view';
	import { formatMoney } from '$lib/ui/numerals';
	import LadderCell from './LadderCell.svelte';

	interface Props {
		data: LadderView;
		addressOf: (card: string | null) => string;
	}
	/** Cards by grades, the dearest first at the grade that is ranked by. */
	let { data, addressOf }: Props = $props();
	const money = (minor: number) => formatMoney(minor, data.currency);
	const percent = (share: number | null) => (share === null ? '' : `${Math.round(100 * share)} %`);
	/** On a narrow screen the grade that is ranked by comes into sight. */
	function showRanked(scroller: HTMLElement) {
		const head = scroller.querySelector<HTMLElement>('th[aria-sort]');
		if (!head || head.offsetLeft + head.offsetWidth <= scroller.clientWidth) return;
		scroller.scrollLeft = head.offsetLeft + head.offsetWidth - scroller.clientWidth;
	}
	/** What begins where another standing does. */
	const HEADS = {
		top: '',
		'near miss': 'Nearly made it',
		below: 'Below',
		'no price': 'No sale of late at this grade'
	} as const;
</script>

<div
	class="overflow-x-auto"
	role="region"
	aria-label="Grade ladder"
	tabindex="-1"
	{@attach showRanked}
>
	<table class="table w-auto table-sm">
		<thead>
			<tr>
				<th class="sticky left-0 z-10 bg-base-100 text-right">Place</th>
				<th class="sticky left-12 z-10 bg-base-100">Card</th>
				{#each data.columns as { label } (label)}
					<th
						class={[
							'min-w-24 text-right',
							label === data.column && 'bg-base-200 text-base-content'
						]}
						aria-sort={label === data.column ? 'descending' : undefined}>{label}</th
					>
				{/each}
				<th>Best to buy</th>
			</tr>
		</thead>
		<tbody>
			{#each data.rows as row, i (row.version)}
				{@const head = HEADS[row.standing]}
				{#if head !== '' && data.rows[i - 1]?.standing !== row.standing}
					<tr
						><th
							colspan={data.columns.length + 3}
							scope="rowgroup"
							class="border-t-2 border-base-300 pt-3 text-sm font-normal quiet">{head}</th
						></tr
					>
				{/if}
				<tr
					data-testid="ladder-row"
					class={row.version === data.close?.version ? 'bg-base-200' : ''}
				>
					<td class="sticky left-0 z-10 bg-base-100 text-right text-lg tabular-nums">
						{row.cells.find(({ label }) => label === data.column)?.rank ?? ''}
					</td>
					<th scope="row" class="sticky left-12 z-10 max-w-56 bg-base-100 font-normal">
						<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved by the page -->
						<a class="link link-hover" href={addressOf(row.version)} data-sveltekit-noscroll>
							<span class="font-semibold">{row.name}</span>
							{#if row.title && !row.name.startsWith(row.title)}{row.title}{/if}
						</a>
						{#if row.isKey}<span class="badge badge-soft badge-xs badge-secondary">key</span>{/if}
					</th>
					{#each row.cells as cell (cell.label)}
						<LadderCell {cell} currency={data.currency} isRanked={cell.label === data.column} />
					{/each}
					<td>{row.bestToBuy ?? ''}</td>
				</tr>
			{/each}
		</tbody>
		<tfoot>
			<tr class="text-base-content">
				<td class="sticky left-0 bg-base-100"></td>
				<th scope="row" class="sticky left-12 bg-base-100">Together</th>
				{#each data.columns as column (column.label)}
					<td class="text-right tabular-nums">
						{#if column.priced > 0}
							{money(column.totalMinor)}
							<span class="block text-xs quiet"
								>{column.priced} cards{column.keyShare
									? `, keys ${percent(column.keyShare)}`
									: ''}</span
							>
						{/if}
					</td>
				{/each}
				<td></td>
			</tr>
		</tfoot>
	</table>
</div>
