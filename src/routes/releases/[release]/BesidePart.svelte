<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { COLLECTIBLE_KINDS } from '$lib/core/checklist/beside-cards';
	import type { Release } from '$lib/core/checklist/release';
	import { formatVersionKey } from '$lib/core/checklist/versions/version-key';
	import { collectibleCardKey } from '$lib/core/checklist/with-collectibles';
	import type { Wanted } from '$lib/core/goal/wall';
	import type { Problem } from '$lib/core/problem';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	/** What is collected beside the cards, how many of each there are, and what else there is of it. */
	interface Props {
		release: Release;
		owned: ReadonlyMap<string, number>;
		change: (wanted: readonly Wanted[]) => void;
		problems: readonly Problem[];
	}
	let { release, owned, change, problems }: Props = $props();
	const things = $derived(
		(release.collectibles ?? []).map((thing) => {
			const card = collectibleCardKey(thing.key);
			const version = formatVersionKey({ release: release.key, card, parallel: null });
			return { ...thing, card, version, count: owned.get(version) ?? 0 };
		})
	);
	/** It stays open while thing after thing is added. */
	let isAdding = $state(false);
	const have = $derived(things.filter(({ count }) => count > 0).length);
</script>

<section class="mt-8 max-w-4xl" aria-label="Beside the cards">
	{#if things.length > 0}
		<h2 class="mb-2">
			Beside the cards <span class="text-base quiet">{have} of {things.length} here</span>
		</h2>
	{/if}
	<ul>
		{#each things as { key, kind, name, note, card, version, count } (key)}
			<li class="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-base-300/60 py-1">
				<span class="w-20 quiet">{kind === 'other' ? '' : kind}</span>
				<span class="min-w-40 flex-1">
					<a
						class="prose-link"
						href={resolve('/releases/[release]/cards/[card]', { release: release.key, card })}
						>{name}</a
					>{#if note}<span class="quiet">: {note}</span>{/if}
				</span>
				<span class="flex items-center gap-1">
					<button
						type="button"
						class="btn btn-square btn-ghost btn-sm"
						aria-label="One less: {name}"
						disabled={count === 0}
						onclick={() => change([{ version, quantity: count - 1 }])}>−</button
					>
					<span class="w-8 text-center tabular-nums {count > 0 ? 'text-primary' : 'quiet'}"
						>{count}</span
					>
					<button
						type="button"
						class="btn btn-square btn-ghost btn-sm"
						aria-label="One more: {name}"
						onclick={() => change([{ version, quantity: count + 1 }])}>+</button
					>
				</span>
				<form method="POST" action="?/dropCollectible" use:enhance>
					<input type="hidden" name="key" value={key} />
					<button class="quiet hover:text-error" aria-label="Take {name} off the list">✕</button>
				</form>
			</li>
		{/each}
	</ul>
	<ProblemAlert {problems} class="my-3" />
	<details class="mt-2" bind:open={isAdding}>
		<summary class="cursor-pointer prose-link">Add a wrapper, box, poster, album or book</summary>
		<form
			method="POST"
			action="?/collectible"
			class="mt-2 flex flex-wrap items-end gap-3"
			use:enhance
		>
			<Field label="Kind" class="w-32">
				<select class="select w-full select-sm" name="kind">
					{#each COLLECTIBLE_KINDS as kind (kind)}<option>{kind}</option>{/each}
				</select>
			</Field>
			<Field label="Name" class="min-w-0 flex-1 basis-56">
				<input class="input w-full input-sm" name="name" maxlength="200" required />
			</Field>
			<Field label="Note" class="min-w-0 flex-1 basis-48">
				<input class="input w-full input-sm" name="note" maxlength="1000" />
			</Field>
			<button class="btn btn-sm">Add it</button>
		</form>
	</details>
</section>
