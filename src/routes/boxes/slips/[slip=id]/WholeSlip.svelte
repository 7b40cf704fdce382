<script lang="ts">
	import { nameGap } from '$lib/core/storage/slips/slip-walk';
	import type { SlipLine } from '$lib/server/storage/slips/slips';

	/** Lines that wait, in walking order. */
	let { lines }: { lines: readonly SlipLine[] } = $props();
</script>

<div class="overflow-x-auto">
	<table class="table max-w-4xl table-sm [&_td]:text-base [&_th]:text-base">
		<thead
			><tr
				><th scope="col"><span class="sr-only">Done</span></th><th scope="col">Card</th><th
					scope="col">Where</th
				><th scope="col">Between</th></tr
			></thead
		>
		<tbody>
			{#each lines as line (line.id)}
				<tr class="break-inside-avoid">
					<td
						><span class="inline-block size-4 border border-base-content" aria-hidden="true"
						></span></td
					>
					<th scope="row" class="font-normal"
						>{line.card}{line.quantity > 1 ? ` × ${line.quantity}` : ''}</th
					>
					<td
						>{line.place?.shelf ? `${line.place.shelf}: ` : ''}{line.place?.box}, row {line.place
							?.row}, {line.place?.divider}</td
					>
					<td>{line.place ? nameGap(line.place) : ''}</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>
