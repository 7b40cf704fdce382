<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import type { SheetPart } from '$lib/core/checklist/compare/compare-sheet';

	interface Props {
		part: SheetPart;
		sides: readonly {
			readonly key: string;
			readonly name: string;
			readonly section: string;
			readonly sections: readonly { readonly key: string; readonly name: string }[];
		}[];
	}
	let { part, sides }: Props = $props();
	const first = $derived(part.members.findIndex((member) => member !== null));
	const nameIn = (side: number) => `${sides[side]?.key ?? ''}/${part.members[side]?.key ?? ''}`;
</script>

<div
	class="grid gap-x-5 sm:grid-cols-[9rem_repeat(var(--sides),minmax(0,1fr))]"
	style:--sides={sides.length}
>
	<span class="max-sm:hidden"></span>
	{#each part.members as member, side (side)}
		<div class="min-w-0">
			<p class="text-sm quiet">{sides[side]?.name}</p>
			{#if member}
				<h2 class="text-xl wrap-anywhere">{member.name}</h2>
				{#if part.byHand && side !== first}
					<form method="POST" action="?/pair" use:enhance>
						<input type="hidden" name="first" value={nameIn(first)} />
						<input type="hidden" name="other" value={nameIn(side)} />
						<button class="btn btn-ghost px-0 font-normal btn-xs" name="part" value="yes"
							>paired by hand: part them</button
						>
					</form>
				{/if}
			{:else}
				<p class="quiet">nothing like it</p>
				{#if sides[side]?.section === '' && sides[side]?.key !== sides[first]?.key}
					<form method="POST" action="?/pair" use:enhance class="mt-1">
						<input type="hidden" name="first" value={nameIn(first)} />
						<label class="text-sm"
							><span class="block quiet">Its counterpart</span>
							<select
								class="select w-full select-xs"
								name="other"
								value=""
								onchange={(event) => event.currentTarget.form?.requestSubmit()}
							>
								<option value="" disabled>choose</option>
								{#each sides[side]?.sections ?? [] as { key, name } (key)}<option
										value="{sides[side]?.key}/{key}">{name}</option
									>{/each}
							</select></label
						>
					</form>
				{/if}
			{/if}
		</div>
	{/each}
	{#each part.lines as { what, cells, differs }, i (i)}
		<p
			class={['mt-1 border-t border-base-300/60 pt-1 text-sm', differs ? 'font-semibold' : 'quiet']}
		>
			{what}{#if differs}<span class="font-normal quiet">, differs</span>{/if}
		</p>
		{#each cells as cell, side (side)}
			<p
				class={[
					'min-w-0 wrap-anywhere sm:mt-1 sm:border-t sm:border-base-300/60 sm:pt-1',
					part.members[side] === null && 'max-sm:hidden'
				]}
			>
				{#if part.members[side] !== null}
					<span class="mr-1 text-sm quiet sm:hidden">{sides[side]?.name}:</span>
					{cell || '–'}
				{/if}
			</p>
		{/each}
	{/each}
</div>
