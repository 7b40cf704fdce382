<script lang="ts">
	import type { ChangeCount } from '$lib/core/checklist/draft/replace-release';
	import { changeFigures } from '$lib/ui/change-figures';
	import { countOf } from '$lib/ui/numerals';

	interface Props {
		preview: {
			readonly name: string;
			readonly maker: string;
			readonly year: string;
			readonly key: string;
			readonly versions: number;
			readonly cards: number;
			readonly sections: readonly {
				readonly name: string;
				readonly kind: string;
				readonly cards: number;
				readonly numbers: string;
				readonly firstTitles: readonly string[];
			}[];
			readonly parallels: readonly {
				readonly name: string;
				readonly runs: readonly {
					readonly sections: readonly string[];
					readonly printRun: number | null;
				}[];
			}[];
		};
		/** The release that is there already, and what becomes of it. */
		same: { readonly key: string; readonly changes: readonly ChangeCount[] } | null;
	}
	let { preview, same }: Props = $props();
</script>

<h2 class="mb-1">{preview.name}</h2>
<p class="mb-4">
	{preview.maker}, {preview.year}.
	{#if same}
		It is in the collection already. Replacing its checklist keeps every copy you own;
		<strong>{changeFigures(same.changes)}</strong>. It would have {countOf(preview.cards, 'card')} and
		{countOf(preview.versions, 'version')}.
	{:else}
		This would create {countOf(preview.cards, 'card')} in {countOf(
			preview.sections.length,
			'section'
		)}, which make <strong>{countOf(preview.versions, 'version')}</strong>, under the key
		<code>{preview.key}</code>.
	{/if}
</p>
<div class="overflow-x-auto">
	<table class="table">
		<thead
			><tr
				><th>Section</th><th>Kind</th><th class="text-right">Cards</th><th>Numbers</th><th
					>Begins with</th
				></tr
			></thead
		>
		<tbody>
			{#each preview.sections as section, i (i)}
				<tr>
					<th scope="row">{section.name}</th>
					<td>{section.kind}</td>
					<td class="text-right">{section.cards}</td>
					<td class="wrap-anywhere">{section.numbers}</td>
					<td class="quiet">{section.firstTitles.filter(Boolean).join(', ')}</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>
{#if preview.parallels.length > 0}
	<h2 class="mt-6 mb-2">Parallels</h2>
	<ul class="space-y-1">
		{#each preview.parallels as { name, runs }, i (i)}
			<li>
				<strong>{name}</strong>:
				{runs
					.map(
						({ sections, printRun }) => `${sections.join(', ')}${printRun ? ` /${printRun}` : ''}`
					)
					.join('; ')}
			</li>
		{/each}
	</ul>
{/if}
