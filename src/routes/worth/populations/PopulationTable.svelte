<script lang="ts">
	import type { PopulationsView } from '$lib/server/worth/populations/populations-view';
	import { enhance } from '$lib/ui/form-actions';
	import { formatDay } from '$lib/ui/numerals';

	/** Cards by how many were graded, the scarcest first. */
	let { data }: { data: PopulationsView } = $props();
	const times = (ratio: number) => (ratio < 10 ? ratio.toFixed(1) : `${Math.round(ratio)}`);
	const percent = (share: number | null) => (share === null ? '' : `${Math.round(100 * share)} %`);
</script>

<div class="overflow-x-auto">
	<table class="table w-auto table-sm">
		<thead>
			<tr
				><th>Card</th><th class="text-right">Graded</th><th>By grade</th><th class="text-right"
					>At {data.least} or better</th
				><th>Finest known</th><th>Times scarcer</th></tr
			>
		</thead>
		<tbody>
			{#each data.rows as row (row.version)}
				<tr data-testid="population">
					<th scope="row" class="max-w-56 font-normal"
						><span class="font-semibold">{row.name}</span>
						{row.name.startsWith(row.title) ? '' : row.title}</th
					>
					<td class="text-right text-lg tabular-nums">{row.graded}</td>
					<td class="max-w-md text-sm">
						{#each row.levels as level (level.label)}<span
								class="mr-3 inline-block whitespace-nowrap"
								title={Object.entries(level.byHouse)
									.map(([house, count]) => `${house} ${count}`)
									.join(', ')}><span class="quiet">{level.label}:</span> {level.count}</span
							>{/each}
					</td>
					<td class="text-right tabular-nums"
						>{row.atLeast}{row.shareAtLeast === null ? '' : ` (${percent(row.shareAtLeast)})`}</td
					>
					<td
						>{#if row.finest}{row.finest.count} at {row.finest.grade}{/if}</td
					>
					<td class="text-sm">
						{#if row.scarcer === null}<span class="quiet">held against</span>
						{:else if row.scarcer.times === null}none is known
						{:else}<span class="text-base">{times(row.scarcer.times)}</span>
							<span class="estimate"
								>{times(row.scarcer.low)} to {row.scarcer.high === null
									? 'any'
									: times(row.scarcer.high)}</span
							>
							{row.scarcer.verdict === 'cannot tell' ? '(cannot tell)' : ''}{/if}
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>
<p class="mt-1 max-w-3xl text-sm quiet">
	The same copy can be counted twice, by two houses or when it was graded anew: these are the most
	that there are. The interval says what chance does to such counts (19 cases of 20); that dear
	cards are sent in more often it can't know.
</p>
<details class="mt-2">
	<summary class="cursor-pointer">Reports that were noted ({data.reports.length})</summary>
	<ul>
		{#each data.reports as report (report.id)}
			<li class="flex flex-wrap items-center gap-2">
				{report.name}
				{report.title}, {report.house}, {formatDay(report.on)}{report.source
					? `, ${report.source}`
					: ''}
				<form method="POST" action="?/drop&release={data.release}" use:enhance>
					<input type="hidden" name="report" value={report.id} />
					<button
						class="btn btn-ghost btn-xs"
						aria-label="Take out the report of {report.name} by {report.house}">Take out</button
					>
				</form>
			</li>
		{/each}
	</ul>
</details>
