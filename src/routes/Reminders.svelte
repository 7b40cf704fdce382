<script lang="ts">
	import { resolve } from '$app/paths';
	import type { OutingLine } from '$lib/server/copies/outings';
	import type { LowSupply } from '$lib/core/storage/supplies/supply';
	import { formatDay } from '$lib/ui/numerals';

	/** What wants to be remembered: cards that should be back, supplies that run out. */
	let { out, low }: { out: readonly OutingLine[]; low: readonly LowSupply[] } = $props();
	const SHOWN = 5;
</script>

{#if out.length > 0}
	<section aria-labelledby="due">
		<h2 id="due" class="mb-2">Due back</h2>
		<ul class="space-y-1">
			{#each out.slice(0, SHOWN) as { id, name, to, dueOn, state } (id)}
				<li class="wrap-break-word">
					<a class="prose-link" href={resolve('/boxes/out')}>{name}</a>
					<span class={['block text-sm', state === 'overdue' ? 'text-error' : 'quiet']}
						>{state === 'overdue' ? '! ' : ''}{to}, {dueOn ? formatDay(dueOn) : ''}</span
					>
				</li>
			{/each}
		</ul>
		{#if out.length > SHOWN}<p class="text-sm quiet">and {out.length - SHOWN} more</p>{/if}
	</section>
{/if}
{#if low.length > 0}
	<section aria-labelledby="low">
		<h2 id="low" class="mb-2">Running low</h2>
		<ul class="space-y-1">
			{#each low.slice(0, SHOWN) as { key, name, count } (key)}
				<li><a class="prose-link" href={resolve('/boxes/supplies')}>{name}</a>, {count} left</li>
			{/each}
		</ul>
		{#if low.length > SHOWN}<p class="text-sm quiet">and {low.length - SHOWN} more</p>{/if}
	</section>
{/if}
