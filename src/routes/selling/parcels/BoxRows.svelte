<script lang="ts">
	import { resolve } from '$app/paths';
	import AskForm from '$lib/ui/AskForm.svelte';
	import Field from '$lib/ui/Field.svelte';

	interface Row {
		readonly kind: string;
		readonly quantity: string;
		readonly cards: string;
		readonly buyer: string;
	}
	interface Props {
		rows: readonly Row[];
		boxKinds: readonly {
			readonly key: string;
			readonly name: string;
			readonly nominalCount: number;
		}[];
		staysUpright: boolean;
	}
	/** Which boxes go out, row by row; one more row stands ready. */
	let { rows, boxKinds, staysUpright }: Props = $props();
	const EMPTY: Row = { kind: '550', quantity: '', cards: '', buyer: '' };
	const shown = $derived([...rows.filter(({ quantity }) => quantity !== ''), EMPTY]);
	const countOf = (kind: string) => boxKinds.find(({ key }) => key === kind)?.nominalCount;
</script>

<AskForm path={resolve('/selling/parcels')} class="mb-3">
	<div class="w-full max-w-4xl">
		{#each shown as row, i (i)}
			<div class="mb-1 flex flex-wrap items-end gap-3">
				<Field label={i === 0 ? 'Boxes' : ''}
					><input
						name="quantity"
						class="input w-20 input-sm"
						inputmode="numeric"
						value={row.quantity}
						placeholder="3"
						aria-label="Row {i + 1}: how many boxes"
					/></Field
				>
				<Field label={i === 0 ? 'Of which kind' : ''}>
					<select
						name="kind"
						class="select w-52 select-sm"
						value={row.kind}
						aria-label="Row {i + 1}: kind of box"
					>
						{#each boxKinds as { key, name } (key)}<option value={key}>{name}</option>{/each}
					</select>
				</Field>
				<Field label={i === 0 ? 'Cards in each' : ''}
					><input
						name="cards"
						class="input w-24 input-sm"
						inputmode="numeric"
						value={row.cards}
						placeholder={`${countOf(row.kind) ?? 'full'}`}
						aria-label="Row {i + 1}: cards in each"
					/></Field
				>
				<Field label={i === 0 ? 'For whom' : ''}
					><input
						name="for"
						class="input w-40 input-sm"
						value={row.buyer}
						placeholder="one buyer"
						aria-label="Row {i + 1}: for whom"
					/></Field
				>
			</div>
		{/each}
	</div>
	<label class="flex items-center gap-2 text-sm"
		><input
			type="checkbox"
			name="upright"
			value="yes"
			class="checkbox checkbox-sm"
			checked={staysUpright}
		/> lids stay on top</label
	>
</AskForm>
