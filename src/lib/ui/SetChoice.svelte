<script lang="ts">
	import type { MatchedSet } from '$lib/core/holdings/match-holdings';
	import { countOf } from '$lib/ui/numerals';

	/** What each set that the list names was taken for; a choice where it is not sure. */
	interface Props {
		sets: readonly MatchedSet[];
		/** Names of the releases, by key. */
		names: Readonly<Record<string, string>>;
		changed: () => void;
	}
	let { sets, names, changed }: Props = $props();
</script>

<fieldset class="lg:col-span-2">
	<legend class="mb-1 font-serif text-lg">Sets in the list</legend>
	<ul>
		{#each sets as { name, year, maker, set, rows, candidates, release } (name)}
			<li
				class="grid items-center gap-x-4 border-b border-base-300 py-1 sm:grid-cols-[1fr_1fr_6rem]"
			>
				<span>{[set, maker, set.includes(year) ? '' : year].filter(Boolean).join(', ')}</span>
				<span>
					<input type="hidden" name="set" value={name} />
					<select
						class={['select w-full select-sm', release === null && 'select-error']}
						name="release"
						aria-label="Release for {set}"
						value={release ?? ''}
						onchange={changed}
					>
						<option value="">none of these: keep the rows</option>
						{#each candidates as { key, score } (key)}
							<option value={key}>{names[key] ?? key} ({Math.round(100 * score)} %)</option>
						{/each}
					</select>
				</span>
				<span class="text-right quiet">{countOf(rows, 'row')}</span>
			</li>
		{/each}
	</ul>
</fieldset>
