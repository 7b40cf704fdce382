<script lang="ts">
	import { resolve } from '$app/paths';
	import AskForm from '$lib/ui/AskForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import LotForm from './LotForm.svelte';
	import SealedLot from './SealedLot.svelte';
	import SealedRules from './SealedRules.svelte';

	let { data, form } = $props();
	const problemsOf = (part: string) =>
		form && 'problems' in form && form.part === part ? form.problems : undefined;
	const money = (minor: number) => formatMoney(minor, data.currency);
</script>

<svelte:head><title>Sealed stock · Jade Binder</title></svelte:head>

<h1 class="mb-2">Sealed stock</h1>
<ProblemAlert
	problems={[...data.misread, ...data.problems, ...(problemsOf('lot') ?? [])]}
	class="mb-3"
/>
{#if data.lots.length === 0}
	<p class="mb-4 max-w-2xl text-lg">
		Nothing sealed is kept. Write down what you have, with what it cost and how sure it is that
		nobody opened it before; then keeping, opening and selling stand beside each other.
	</p>
{:else}
	<dl class="mb-3 flex flex-wrap gap-x-8 gap-y-1">
		<div>
			<dt class="text-sm quiet">Sold for now, sealed</dt>
			<dd class="text-xl estimate">{money(data.valueMinor)}</dd>
		</div>
		<div>
			<dt class="text-sm quiet">Cost</dt>
			<dd class="text-xl">{money(data.costMinor)}</dd>
		</div>
	</dl>
	{#if data.goals.length > 1}
		<AskForm path={resolve('/packs/sealed')} class="mb-3">
			<Field label="Opened for the goal">
				<select name="goal" class="select w-64 max-w-full select-sm" value={data.goal?.id}>
					{#each data.goals as { id, name } (id)}<option value={id}>{name}</option>{/each}
				</select>
			</Field>
		</AskForm>
	{/if}
	<ul class="mb-6 max-w-5xl">
		{#each data.lots as lot (lot.id)}
			<li class="border-t border-base-300 py-3" data-testid="sealed-lot">
				<SealedLot
					{lot}
					currency={data.currency}
					goal={data.goal?.name ?? null}
					kinds={data.kinds}
				/>
			</li>
		{/each}
	</ul>
{/if}
{#if data.kinds.length > 0}
	<details open={data.lots.length === 0}>
		<summary class="cursor-pointer font-serif text-lg">Something else that is sealed</summary>
		<LotForm kinds={data.kinds} currency={data.currency} lot={null} />
	</details>
{/if}
<SealedRules kept={data.kept} problems={problemsOf('rules')} />
{#if data.lots.length > 0}
	<p class="mt-4 max-w-3xl text-sm quiet">
		Boxes are heavy: lift with both hands and a straight back, the heavy ones on low shelves; the
		shelf maker's rating counts. Gum in old packs is not food.
	</p>
{/if}
