<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import type { StorageView } from '$lib/server/storage/plan/storage-view';
	import { formatCount } from '$lib/ui/numerals';
	import Word from '$lib/ui/Word.svelte';

	interface Props {
		view: StorageView;
		names: ReadonlyMap<string, string>;
		/** Where themes decide, they can be written in. */
		isByTheme: boolean;
	}
	let { view, names, isByTheme }: Props = $props();
	const { plan, kinds } = $derived(view);
	const setOf = (key: string, use: string) =>
		plan.sets.find((set) => set.key === key && set.use === use);
	const WORDS = {
		stray: 'strays of its year',
		shared: 'a shared box',
		'own box': '',
		'small box': ''
	} as const;
	const SHOWN = 200;
	let all = $state(false);
	const shown = $derived(all ? plan.choices : plan.choices.slice(0, SHOWN));
</script>

<section class="mt-8" aria-labelledby="choices">
	<h2 id="choices" class="mb-2">Why each set stands where it does</h2>
	<div class="overflow-x-auto">
		<table class="table max-w-4xl table-sm [&_td]:text-base [&_th]:text-base">
			<thead
				><tr
					><th scope="col"><Word of="run">Set</Word></th><th scope="col" class="text-right"
						>Cards</th
					><th scope="col">Stands in</th><th scope="col">Because</th>{#if isByTheme}<th scope="col"
							>Theme</th
						>{/if}</tr
				></thead
			>
			<tbody>
				{#each shown as { set, use, choice, kind, rule } (`${set} ${use}`)}
					<tr>
						<th scope="row" class="font-normal">{names.get(set) ?? set}</th>
						<td class="text-right">{formatCount(setOf(set, use)?.cards ?? 0)}</td>
						<td>{kinds.find(({ key }) => key === kind)?.name ?? WORDS[choice]}</td>
						<td class="quiet">{rule}</td>
						{#if isByTheme}
							<td>
								<form
									method="POST"
									action="?/theme&school=theme"
									use:enhance={() =>
										({ update }) =>
											update({ reset: false })}
									class="flex gap-2"
								>
									<input type="hidden" name="release" value={setOf(set, use)?.run.release} />
									<input
										class="input w-32 input-sm"
										name="theme"
										maxlength="60"
										value={setOf(set, use)?.theme ?? ''}
										aria-label="Theme of {names.get(set) ?? set}"
									/>
									<button class="btn btn-sm">Save</button>
								</form>
							</td>
						{/if}
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	{#if plan.choices.length > shown.length}
		<button class="btn mt-2 btn-sm" onclick={() => (all = true)}
			>Show all {formatCount(plan.choices.length)}</button
		>
	{/if}
</section>
