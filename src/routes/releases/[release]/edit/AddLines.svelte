<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { readOutline } from '$lib/core/checklist/outline/read-outline';
	import { releaseChanges } from '$lib/core/checklist/draft/replace-release';
	import { foldCards } from '$lib/core/checklist/fold-runs';
	import type { Release } from '$lib/core/checklist/release';
	import type { Problem } from '$lib/core/problem';
	import { changeFigures } from '$lib/ui/change-figures';
	import { countOf } from '$lib/ui/numerals';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import ProblemList from '$lib/ui/ProblemList.svelte';

	interface Props {
		release: Release;
		problems: readonly Problem[];
		/** Changes in the sheets that are not saved yet. */
		unsaved: number;
	}
	let { release, problems, unsaved }: Props = $props();
	let lines = $state('');
	const reading = $derived(lines.trim() === '' ? null : readOutline(lines, release));
	const changes = $derived(reading ? releaseChanges(release, reading.release) : []);
	/** Sections that are new or get cards, with what they get. */
	const grown = $derived.by(() => {
		if (!reading) return [];
		const before = new Map(
			release.sections.flatMap((section) => section.cards.map(({ key }) => [key, section.key]))
		);
		return reading.release.sections.flatMap(({ key, name, cards }) => {
			const fresh = cards.filter((card) => !before.has(card.key));
			const moved = cards.filter((card) => before.has(card.key) && before.get(card.key) !== key);
			return fresh.length + moved.length > 0
				? [{ key, name, count: fresh.length, fresh: foldCards(fresh), moved: foldCards(moved) }]
				: [];
		});
	});
	const isReady = $derived(changes.length > 0 && reading?.problems.length === 0 && unsaved === 0);
	const clip = (text: string) => (text.length > 100 ? `${text.slice(0, 99)}…` : text);
</script>

<form
	method="POST"
	action="?/lines"
	class="mt-3 grid gap-4 lg:grid-cols-2"
	use:enhance={() =>
		async ({ result, update }) => {
			await update({ reset: false });
			if (result.type === 'success') lines = '';
		}}
>
	<div>
		<Field label="Lines of an outline">
			<textarea
				class="textarea w-full font-mono text-sm"
				name="lines"
				rows="6"
				bind:value={lines}
				spellcheck="false"
				placeholder="insert Moths: M1-M9, hobby 1:18&#10;subset Tide Tables in Base: 31-36&#10;rookie 201-212&#10;parallel Brass: Moths /50"
			></textarea>
		</Field>
		<div class="mt-3 flex flex-wrap items-center gap-3">
			<button class="btn" disabled={!isReady}>Add to {release.name}</button>
			{#if unsaved > 0}<span class="quiet">Save the {countOf(unsaved, 'change')} above first.</span
				>{/if}
		</div>
		<p class="mt-3 quiet">
			Rows of cards are added
			<a
				class="prose-link"
				href={resolve(`/releases/import?into=${encodeURIComponent(release.key)}`)}>as a list</a
			>.
		</p>
	</div>
	<div aria-live="polite">
		<ProblemAlert {problems} class="mb-3" />
		{#if reading}
			{#if reading.problems.length > 0}<ProblemList problems={reading.problems} most={12} />{/if}
			<p class="mb-2"><strong>{changeFigures(changes)}</strong></p>
			<ul class="space-y-1">
				{#each grown as { key, name, count, fresh, moved } (key)}
					<li>
						{name}:
						{#if count > 0}{countOf(count, 'new card')}
							<span class="quiet">{clip(fresh)}</span>{/if}
						{#if moved}takes over <span class="quiet">{clip(moved)}</span>{/if}
					</li>
				{/each}
			</ul>
		{:else}
			<p class="quiet">
				A line a thing, as in a sketch. Cards that are there keep their copies and all that is known
				of them; a subset takes its numbers over. What will change is shown here first.
			</p>
		{/if}
	</div>
</form>
