<script lang="ts">
	import { resolve } from '$app/paths';
	import { amountOf } from '$lib/core/money/minor-units';
	import { monthsBetween } from '$lib/core/worth/prices/days';
	import AskForm from '$lib/ui/AskForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import LineChart from '$lib/ui/LineChart.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import { answerOf } from '$lib/ui/form-answer';
	import { formatCount, formatMoney, formatMonth } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import DearestCards from './DearestCards.svelte';
	import InsuranceForm from './InsuranceForm.svelte';
	import Panels from './Panels.svelte';
	import { scopeText } from './read-scope';

	let { data, form } = $props();
	const money = (minor: number) => formatMoney(minor, data.currency);
	const percent = (share: number | null) => (share === null ? '' : `${Math.round(100 * share)} %`);
	const { worth } = $derived(data);
	const today = $derived(data.overTime.at(-1)?.on ?? '');
</script>

<svelte:head><title>Value · Jade Binder</title></svelte:head>

<h1 class="mb-2">What it is worth</h1>
<ProblemAlert problems={data.problems} class="mb-3" />
<AskForm path={resolve('/worth/value')} class="mb-3">
	<Field label="Of">
		<select name="of" class="select w-80 max-w-full select-sm" value={scopeText(data.scope)}>
			<option value="">everything</option>
			<optgroup label="Releases"
				>{#each data.choices.releases as { key, name } (key)}<option value="release {key}"
						>{name}</option
					>{/each}</optgroup
			>
			<optgroup label="Goals"
				>{#each data.choices.goals as { id, name } (id)}<option value="goal {id}">{name}</option
					>{/each}</optgroup
			>
			<optgroup label="Binders"
				>{#each data.choices.binders as { id, name } (id)}<option value="binder {id}">{name}</option
					>{/each}</optgroup
			>
			<optgroup label="Boxes"
				>{#each data.choices.boxes as { id, name } (id)}<option value="box {id}">{name}</option
					>{/each}</optgroup
			>
		</select>
	</Field>
</AskForm>
{#if worth.copies === 0}
	<p class="max-w-2xl text-lg">
		Nothing is there yet. Log cards under <a class="link" href={resolve('/log')}>Log</a>; their
		worth follows from the price book.
	</p>
{:else}
	<dl class="mb-3 flex flex-wrap gap-x-10 gap-y-2">
		<div>
			<dt class="text-sm quiet">Worth, as far as it is known</dt>
			<dd class="text-3xl estimate">{money(worth.totalMinor)}</dd>
		</div>
		<div>
			<dt class="text-sm quiet">From the lowest to the highest</dt>
			<dd class="text-xl estimate">{money(worth.lowMinor)} to {money(worth.highMinor)}</dd>
		</div>
		<div>
			<dt class="text-sm quiet">All a step worse</dt>
			<dd class="text-xl estimate">{money(worth.lowerMinor)}</dd>
		</div>
		<div>
			<dt class="text-sm quiet">Of {formatCount(worth.copies)} cards without a price</dt>
			<dd class="text-xl">{formatCount(worth.unpriced)}</dd>
		</div>
		{#if worth.keyShare}<div>
				<dt class="text-sm quiet">Key cards</dt>
				<dd class="text-xl">{percent(worth.keyShare)}</dd>
			</div>{/if}
		{#if worth.unsureShare}<div>
				<dt class="text-sm quiet">On lone, old or no sales</dt>
				<dd class="text-xl">{percent(worth.unsureShare)}</dd>
			</div>{/if}
	</dl>
	<form method="POST" action="?/take" class="mb-3 flex flex-wrap items-center gap-3" use:enhance>
		<button class="btn btn-sm">Take values over</button>
		<span class="text-sm quiet"
			>from the price book, for all copies that you have not valued yourself: holders and boxes by
			value then follow.</span
		>
	</form>
	<p role="status" class="text-sm text-primary">{answerOf(form, 'take').told}</p>
	<div class="grid gap-6 lg:grid-cols-2">
		<div>
			<h2 class="font-serif text-lg">Part by part</h2>
			<div class="overflow-x-auto">
				<table class="table w-auto table-sm">
					<thead
						><tr
							><th></th><th class="text-right">Cards</th><th class="text-right">Without a price</th
							><th class="text-right">Worth</th></tr
						></thead
					>
					<tbody>
						{#each worth.groups.toSorted((a, b) => b.totalMinor - a.totalMinor) as group (group.group)}
							<tr data-testid="worth-group">
								<th scope="row" class="font-normal">{group.group}</th>
								<td class="text-right tabular-nums">{formatCount(group.copies)}</td>
								<td class="text-right tabular-nums"
									>{group.unpriced ? formatCount(group.unpriced) : ''}</td
								>
								<td class="text-right tabular-nums">
									{#if group.unpriced === group.copies}
										<span class="quiet">not known</span>
									{:else}
										<span class="estimate">{money(group.totalMinor)}</span>
									{/if}
								</td>
							</tr>
						{/each}
					</tbody>
				</table>
			</div>
			<Panels panels={data.panels} currency={data.currency} />
			{#if data.overTime.length > 1}
				<h2 class="mt-4 font-serif text-lg">By what was known then</h2>
				<LineChart
					lines={[
						{
							name: 'worth',
							points: data.overTime.map(({ on, totalMinor }) => ({
								x: monthsBetween(today, on),
								y: amountOf(totalMinor, data.currency)
							}))
						}
					]}
					x="Months from today"
					y={data.currency}
					class="h-48"
				/>
				<p class="text-sm quiet">
					What is there now, at the prices of {formatMonth(data.overTime[0]?.on ?? '')} to today: {money(
						data.overTime[0]?.totalMinor ?? 0
					)} to {money(data.overTime.at(-1)?.totalMinor ?? 0)}.
				</p>
			{/if}
		</div>
		<div>
			<DearestCards dearest={data.dearest} currency={data.currency} />
			<InsuranceForm scope={scopeText(data.scope)} />
			<p class="mt-3 text-sm quiet">
				The holder follows value: <a class="link" href={resolve('/boxes/holders')}
					>which cards are in the wrong one</a
				>. A step worse is about half where nobody sold such cards ({data.kept.lowerPercent} %).
			</p>
		</div>
	</div>
{/if}
