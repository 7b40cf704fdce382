<script lang="ts">
	import { resolve } from '$app/paths';
	import AskForm from '$lib/ui/AskForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { countOf, formatMoney, formatMonth } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data } = $props();
	const money = (minor: number) => formatMoney(minor, data.currency);
	const labels = $derived([...new Set([...data.labels, data.quality])]);
</script>

<svelte:head><title>A subject over all issues · Jade Binder</title></svelte:head>

<h1 class="mb-2">{data.subject === '' ? 'A subject over all issues' : data.subject}</h1>
<ProblemAlert problems={data.problems} class="mb-3" />
<AskForm path={resolve('/worth/subject')} class="mb-3">
	<Field label="Subject"
		><input
			name="subject"
			class="input w-64 max-w-full input-sm"
			value={data.subject}
			placeholder="Mara Tideway"
		/></Field
	>
	<Field label="At">
		<select name="at" class="select w-40 select-sm" value={data.quality}>
			{#each labels as label (label)}<option>{label}</option>{/each}
		</select>
	</Field>
</AskForm>
{#if data.subject === ''}
	<p class="max-w-2xl text-lg">
		Write whom or what is shown, as the checklists name it: all cards of it stand below each other,
		the cheapest first at a grade.
	</p>
{:else if data.lines.length === 0}
	<p class="text-lg">No card shows “{data.subject}”. Look at how its checklist writes it.</p>
{:else}
	<div class="overflow-x-auto">
		<table class="table w-auto table-sm">
			<thead
				><tr
					><th class="text-right">Price</th><th>Card</th><th>Release</th><th>Last sold</th><th
						class="text-right">Graded</th
					><th class="text-right">Here</th></tr
				></thead
			>
			<tbody>
				{#each data.lines as { card, key, name, count, graded, estimate } (key)}
					<tr data-testid="subject-price">
						<td
							class={[
								'text-right text-lg tabular-nums',
								(estimate.flags.length > 0 || estimate.basis !== 'sales') && 'estimate'
							]}
						>
							{estimate.middleMinor === null ? '' : money(estimate.middleMinor)}
						</td>
						<td>
							<a
								class="link link-hover"
								href={resolve('/releases/[release]/cards/[card]', {
									release: card.releaseKey,
									card: card.cardKey
								})}>{card.number ?? ''} {card.title}</a
							>{name === 'base' ? '' : `, ${name}`}
						</td>
						<td
							><a
								class="link link-hover"
								href="{resolve('/worth')}?release={card.releaseKey}&card={encodeURIComponent(key)}"
								>{card.releaseName}</a
							></td
						>
						<td class="text-sm quiet"
							>{[estimate.on ? formatMonth(estimate.on) : '', ...estimate.flags]
								.filter(Boolean)
								.join(', ')}</td
						>
						<td class="text-right tabular-nums">{graded ?? ''}</td>
						<td class="text-right">{count > 0 ? count : ''}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	{#if data.untold > 0}<p class="mt-1 text-sm quiet">
			{countOf(data.untold, 'release')} more show it; too many to look all up.
		</p>{/if}
{/if}
