<script lang="ts">
	import { resolve } from '$app/paths';
	import AskForm from '$lib/ui/AskForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { answerOf } from '$lib/ui/form-answer';
	import { countOf, formatDay } from '$lib/ui/numerals';
	import FaultRates from './FaultRates.svelte';
	import TolerancesForm from './TolerancesForm.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>Worksheets · Jade Binder</title></svelte:head>

<h1 class="mb-2">Worksheets</h1>
{#if data.release === null}
	<p class="mb-6 max-w-2xl text-lg">
		No copy has been judged yet. <a class="prose-link" href={resolve('/bench')}
			>Lay one on the bench</a
		>: what is seen of its centring, corners, edges and surface is kept with it.
	</p>
{:else}
	<AskForm path={resolve('/bench/worksheets')} class="mb-3" ask="Show">
		<Field label="Release">
			<select name="release" class="select w-72 max-w-full select-sm" value={data.release}>
				{#each data.releases as { key, name, sheets } (key)}<option value={key}
						>{name} ({sheets})</option
					>{/each}
			</select>
		</Field>
	</AskForm>
	<FaultRates rates={data.rates} weakFrom={data.rules.weakFrom} />
	<h2 class="mt-6 mb-1">Judged</h2>
	<ul class="max-w-5xl">
		{#each data.sheets as sheet (sheet.id)}
			<li
				class="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-t border-base-300 py-1"
				data-testid="worksheet"
			>
				<span class="min-w-56 flex-1"
					><a class="prose-link" href="{resolve('/bench')}?copy={sheet.copyId}">{sheet.name}</a
					><span class="quiet">, {sheet.section}</span></span
				>
				<span class="w-28"><strong>{sheet.answer.word ?? 'not judged'}</strong></span>
				<span class="min-w-48 flex-1 text-sm quiet"
					>{sheet.answer.because.map(({ reason }) => reason).join('; ')}</span
				>
				<span class="w-44 text-sm quiet"
					>{sheet.grade === null
						? sheet.estimate === null
							? ''
							: `thought ${sheet.estimate}, `
						: `${sheet.house ?? ''} ${sheet.grade}, `}{formatDay(sheet.seenOn)}</span
				>
			</li>
		{/each}
	</ul>
	{#if data.sheets.length >= 200}<p class="quiet">the last {countOf(200, 'worksheet')}</p>{/if}
{/if}
<TolerancesForm rules={data.rules} answer={answerOf(form, 'rules')} />
