<script lang="ts">
	import { resolve } from '$app/paths';
	import AskForm from '$lib/ui/AskForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Guess from './Guess.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Why the last cards cost most · Jade Binder</title></svelte:head>

<h1 class="mb-2">Why the last cards cost most</h1>
{#if !data.kind}
	<p class="max-w-2xl text-lg">
		No kinds of packs are recorded yet: say in a <a class="prose-link" href={resolve('/releases')}
			>release</a
		> how it was sold.
	</p>
{:else}
	<AskForm path={resolve('/packs/last-cards')} class="mb-4">
		<Field label="Packs of">
			<select name="pack" class="select w-72 max-w-full select-sm" value={data.kind.key}>
				{#each data.kinds as { key, name } (key)}<option value={key}>{name}</option>{/each}
			</select>
		</Field>
		{#if data.groups.length > 1}
			<Field label="The set">
				<select name="group" class="select w-64 max-w-full select-sm" value={data.group?.key}>
					{#each data.groups as { key, name } (key)}<option value={key}>{name}</option>{/each}
				</select>
			</Field>
		{/if}
	</AskForm>
	{#if !data.set || !data.group}
		<p class="max-w-2xl text-lg">
			Nothing is known of what these packs hold: say how many cards a pack has, or the odds, where
			the <a class="prose-link" href={resolve('/releases')}>release</a> is edited.
		</p>
	{:else}
		{#key `${data.kind.key} ${data.group.key} ${data.set.asked.owned}`}
			<Guess
				name={data.group.name}
				isComplete={data.group.isComplete}
				packName={data.packName}
				packsPerBox={data.packsPerBox}
				asked={data.set.asked}
				told={data.set.told}
			/>
		{/key}
	{/if}
{/if}
