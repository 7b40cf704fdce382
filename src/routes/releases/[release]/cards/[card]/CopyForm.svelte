<script lang="ts">
	import { CONDITIONS, GRADES } from '$lib/core/goal/condition';
	import { COPY_STATUSES, type CopyRecord } from '$lib/core/goal/copy-record';
	import ProblemList from '$lib/ui/ProblemList.svelte';
	import type { CopyDesk } from './copy-desk.svelte';

	interface Props {
		copy: CopyRecord & { readonly id: number };
		desk: CopyDesk;
	}
	let { copy, desk }: Props = $props();
	const TEXTS = [
		['house', 'Graded by'],
		['certificate', 'Certificate'],
		['serial', 'Serial, as printed'],
		['place', 'Kept in'],
		['source', 'Came from']
	] as const;
	const today = new Date().toISOString().slice(0, 10);

	/** The form as fields; what is empty is taken away. */
	function fieldsOf(form: FormData) {
		const text = (name: string) => String(form.get(name) ?? '').trim() || null;
		const number = (name: string) => (text(name) === null ? null : Number(text(name)));
		const minor = (name: string) => {
			const amount = number(name);
			return amount === null || Number.isNaN(amount) ? null : Math.round(amount * 100);
		};
		return {
			quantity: number('quantity') ?? 1,
			condition: text('condition'),
			grade: text('grade') === 'authentic' ? null : number('grade'),
			isAuthentic: text('grade') === 'authentic',
			...Object.fromEntries(TEXTS.map(([name]) => [name, text(name)])),
			attributes: (text('attributes') ?? '')
				.split(/[;,]/)
				.map((one) => one.trim())
				.filter(Boolean),
			status: text('status') ?? 'kept',
			costMinor: minor('cost'),
			valueMinor: minor('value'),
			currency: text('currency')?.toUpperCase() ?? null,
			valueSource: text('valueSource'),
			valueOn: text('valueOn'),
			acquiredOn: text('acquiredOn'),
			note: text('note')
		};
	}

	function onsubmit(event: SubmitEvent & { currentTarget: HTMLFormElement }) {
		event.preventDefault();
		void desk.save(copy.id, fieldsOf(new FormData(event.currentTarget)));
	}
</script>

<form {onsubmit} class="my-3 grid grid-cols-2 gap-3 bg-base-200 p-4 sm:grid-cols-4">
	<label class="block"
		><span class="block text-sm quiet">Condition</span>
		<select class="select w-full select-sm" name="condition" value={copy.condition ?? ''}>
			<option value="">not looked at</option>
			{#each CONDITIONS as word (word)}<option value={word}>{word}</option>{/each}
		</select></label
	>
	<label class="block"
		><span class="block text-sm quiet">Grade</span>
		<select
			class="select w-full select-sm"
			name="grade"
			value={copy.isAuthentic ? 'authentic' : String(copy.grade ?? '')}
		>
			<option value="">not graded</option>
			<option value="authentic">authentic, no number</option>
			{#each GRADES as grade (grade)}<option value={String(grade)}>{grade}</option>{/each}
		</select></label
	>
	{#each TEXTS as [name, label] (name)}
		<label class="block"
			><span class="block text-sm quiet">{label}</span><input
				class="input w-full input-sm"
				{name}
				value={copy[name] ?? ''}
				maxlength="200"
			/></label
		>
	{/each}
	<label class="block"
		><span class="block text-sm quiet">Quantity</span><input
			class="input w-full input-sm"
			type="number"
			name="quantity"
			min="1"
			max="10000"
			value={copy.quantity}
		/></label
	>
	<label class="block"
		><span class="block text-sm quiet">What becomes of it</span>
		<select class="select w-full select-sm" name="status" value={copy.status}>
			{#each COPY_STATUSES as word (word)}<option value={word}>{word}</option>{/each}
		</select></label
	>
	<label class="block"
		><span class="block text-sm quiet">Attributes</span><input
			class="input w-full input-sm"
			name="attributes"
			placeholder="autograph; hand-cut"
			value={(copy.attributes ?? []).join('; ')}
		/></label
	>
	<label class="block"
		><span class="block text-sm quiet">Cost of one</span><input
			class="input w-full input-sm"
			name="cost"
			inputmode="decimal"
			value={copy.costMinor === undefined ? '' : (copy.costMinor / 100).toFixed(2)}
		/></label
	>
	<label class="block"
		><span class="block text-sm quiet">Value of one</span><input
			class="input w-full input-sm"
			name="value"
			inputmode="decimal"
			value={copy.valueMinor === undefined ? '' : (copy.valueMinor / 100).toFixed(2)}
		/></label
	>
	<label class="block"
		><span class="block text-sm quiet">Currency</span><input
			class="input w-full input-sm"
			name="currency"
			maxlength="3"
			placeholder="EUR"
			value={copy.currency ?? ''}
		/></label
	>
	<label class="block"
		><span class="block text-sm quiet">Value from</span><input
			class="input w-full input-sm"
			name="valueSource"
			value={copy.valueSource ?? ''}
		/></label
	>
	<label class="block"
		><span class="block text-sm quiet">Valued on</span><input
			class="input w-full input-sm"
			type="date"
			name="valueOn"
			max={today}
			value={copy.valueOn ?? ''}
		/></label
	>
	<label class="block"
		><span class="block text-sm quiet">Got it on</span><input
			class="input w-full input-sm"
			type="date"
			name="acquiredOn"
			value={copy.acquiredOn ?? ''}
		/></label
	>
	<label class="col-span-2 block sm:col-span-3"
		><span class="block text-sm quiet">Note</span><input
			class="input w-full input-sm"
			name="note"
			maxlength="5000"
			value={copy.note ?? ''}
		/></label
	>
	<label class="col-span-2 block"
		><span class="block text-sm quiet">Add a photo (JPEG, PNG, WebP)</span><input
			class="file-input w-full file-input-sm"
			type="file"
			accept="image/jpeg,image/png,image/webp"
			onchange={async (event) => {
				const input = event.currentTarget;
				const [file] = input.files ?? [];
				if (file) await desk.addPhoto(copy.id, file);
				input.value = '';
			}}
		/></label
	>
	<div class="col-span-2 flex items-end justify-end gap-2">
		<button class="btn btn-primary btn-sm">Save</button>
	</div>
	{#if desk.problems.length > 0}
		<div class="col-span-full" role="alert"><ProblemList problems={desk.problems} /></div>
	{/if}
	{#if desk.notes.length > 0}
		<div class="col-span-full"><ProblemList problems={desk.notes} tone="note" /></div>
	{/if}
</form>
