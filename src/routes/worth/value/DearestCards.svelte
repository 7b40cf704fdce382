<script lang="ts">
	import type { ValueView } from '$lib/server/worth/value/value-view';
	import { formatMoney, formatMonth } from '$lib/ui/numerals';

	interface Props {
		dearest: ValueView['dearest'];
		currency: string;
	}
	/** The dearest cards that are there, with how their worth is known. */
	let { dearest, currency }: Props = $props();
	const SHOWN = 12;
	let isAll = $state(false);
	const WORDS = {
		sales: '',
		said: 'own estimate',
		asking: 'asked',
		estimate: 'estimate',
		unknown: ''
	} as const;
</script>

<h2 class="font-serif text-lg">The dearest</h2>
{#if dearest.length === 0}
	<p>No card here has a price yet.</p>
{:else}
	<table class="table w-auto table-sm">
		<tbody>
			{#each isAll ? dearest : dearest.slice(0, SHOWN) as line (line.key)}
				<tr data-testid="dearest">
					<td
						>{line.card}<span class="block text-xs quiet"
							>{line.release}{line.quantity > 1 ? `, ${line.quantity} copies` : ''}</span
						></td
					>
					<td class="text-right align-top estimate tabular-nums"
						>{formatMoney(line.eachMinor, currency)}</td
					>
					<td class="align-top text-xs quiet"
						>{[
							WORDS[line.basis],
							line.on ? formatMonth(line.on) : '',
							...line.flags.filter((flag) => flag !== 'no sale')
						]
							.filter(Boolean)
							.join(', ')}</td
					>
				</tr>
			{/each}
		</tbody>
	</table>
	{#if dearest.length > SHOWN}<button class="btn btn-ghost btn-sm" onclick={() => (isAll = !isAll)}
			>{isAll ? 'Fewer' : 'More'}</button
		>{/if}
{/if}
