<script lang="ts">
	import type { KnowledgeKind } from '$lib/core/knowledge/knowledge';
	import type { SeenDifference } from '$lib/server/knowledge/look-at-knowledge';
	import { countOf, formatDay } from '$lib/ui/numerals';
	import type { createKnowledgeDesk } from './knowledge-desk.svelte';

	interface Props {
		kind: KnowledgeKind;
		lines: readonly SeenDifference[];
		desk: ReturnType<typeof createKnowledgeDesk>;
		/** Who the file is from. */
		from: string;
	}
	let { kind, lines, desk, from }: Props = $props();
	/** Of very many the first are shown; all are taken, or left, together. */
	const SHOWN = 200;
	const ids = $derived(lines.map(({ id }) => id));
	const taken = $derived(ids.filter((id) => desk.picked.has(id)).length);
</script>

<section class="mb-5" aria-labelledby="kind-{kind}">
	<h3 id="kind-{kind}" class="flex flex-wrap items-center gap-x-3">
		<span class="font-serif text-lg first-letter:uppercase">{kind}</span>
		<span class="font-normal quiet">{taken} of {countOf(lines.length, 'line')}</span>
		<button
			type="button"
			class="btn btn-ghost btn-sm"
			aria-label="{desk.isWhole(ids) ? 'Leave' : 'Take'} all of {kind}"
			onclick={() => desk.pickAll(ids)}>{desk.isWhole(ids) ? 'Leave all' : 'Take all'}</button
		>
	</h3>
	<ul>
		{#each lines.slice(0, SHOWN) as { id, what, mine, theirs, source, on, wasLeft } (id)}
			<li class="border-t border-base-300">
				<label class="flex min-h-11 cursor-pointer items-start gap-3 py-1.5">
					<input
						type="checkbox"
						class="checkbox mt-1 checkbox-sm"
						checked={desk.picked.has(id)}
						onchange={() => desk.pick(id)}
					/>
					<span class="min-w-0 flex-1 wrap-anywhere">
						<strong class="font-semibold">{what}</strong>
						<span class="block">
							{#if mine !== null}<del class="quiet">{mine.slice(0, 300)}</del>
								<span aria-hidden="true">→</span>{/if}
							<ins class="no-underline">{theirs.slice(0, 400)}{theirs.length > 400 ? ' …' : ''}</ins
							>
						</span>
					</span>
					<span class="shrink-0 text-right text-sm quiet">
						{source ?? from}{#if on}<span class="block">{formatDay(on)}</span>{/if}
						{#if wasLeft}<span class="block text-accent">left before</span>{/if}
					</span>
				</label>
			</li>
		{/each}
	</ul>
	{#if lines.length > SHOWN}
		<p class="quiet">and {countOf(lines.length - SHOWN, 'line')} more, taken or left with “all”.</p>
	{/if}
</section>
