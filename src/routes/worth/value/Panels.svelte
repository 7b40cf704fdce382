<script lang="ts">
	import type { ValueView } from '$lib/server/worth/value/value-view';
	import { formatMoney } from '$lib/ui/numerals';

	/** Intact panels against the singles that they come apart into. */
	let { panels, currency }: { panels: ValueView['panels']; currency: string } = $props();
	const money = (minor: number) => formatMoney(minor, currency);
</script>

{#if panels.length > 0}
	<h2 class="mt-4 font-serif text-lg">Panels, intact or parted</h2>
	<div class="overflow-x-auto">
		<table class="table w-auto table-sm">
			<thead
				><tr
					><th></th><th class="text-right">Here</th><th class="text-right">Intact</th><th
						class="text-right">Its singles</th
					><th></th></tr
				></thead
			>
			<tbody>
				{#each panels as panel (panel.key)}
					<tr data-testid="panel">
						<th scope="row" class="font-normal">{panel.name}</th>
						<td class="text-right">{panel.here || ''}</td>
						<td class="text-right estimate"
							>{panel.intactMinor === null ? '' : money(panel.intactMinor)}</td
						>
						<td class="text-right estimate"
							>{panel.singlesMinor > 0 ? money(panel.singlesMinor) : ''}{panel.unpriced > 0
								? ` and ${panel.unpriced} unknown`
								: ''}</td
						>
						<td
							>{panel.dearer === 'cannot tell'
								? 'cannot be told'
								: panel.dearer === 'the same'
									? 'the same'
									: `${panel.dearer === 'intact' ? 'keep it whole' : 'singles bring more'}${panel.byMinor === null ? '' : `: ${money(panel.byMinor)}`}`}</td
						>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	<p class="mt-1 text-sm quiet">A panel that is parted is never whole again.</p>
{/if}
