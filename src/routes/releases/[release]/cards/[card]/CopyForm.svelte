<script lang="ts">
	import { allHolders } from '$lib/ui/all-holders.svelte';
	import { CONDITIONS, GRADES } from '$lib/core/copies/condition';
	import { COPY_STATUSES, type CopyRecord } from '$lib/core/copies/copy-record';
	import type { Problem } from '$lib/core/problem';
	import { parseAmount } from '$lib/core/money/amount';
	import { formatMinor } from '$lib/core/money/minor-units';
	import ProblemList from '$lib/ui/ProblemList.svelte';
	import type { CopyDesk } from './copy-desk.svelte';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	/** ISO 4217: no currency is involved. */
	const NO_CURRENCY = 'XXX';
	interface CopyField {
		readonly name: string;
		readonly label: string;
		readonly value: string | undefined;
		readonly type?: 'date';
		readonly inputmode?: 'numeric' | 'decimal';
		readonly placeholder?: string;
	}
	interface Props {
		copy: CopyRecord & { readonly id: number };
		desk: CopyDesk;
		/** Variants of its card, in its finish, besides what it is logged as. */
		deviations: readonly { readonly key: string; readonly name: string }[];
	}
	let { copy, desk, deviations }: Props = $props();
	const currency = $derived(copy.currency ?? 'EUR');
	const amount = (minor: number | undefined) =>
		minor === undefined ? '' : formatMinor(minor, currency);
	/** The fields that are typed, in order; dates and amounts know their keyboard. */
	const FIELDS = $derived([
		{ name: 'house', label: 'Graded by', value: copy.house },
		{ name: 'certificate', label: 'Certificate', value: copy.certificate },
		{ name: 'serial', label: 'Serial, as printed', value: copy.serial },
		{ name: 'place', label: 'Kept in', value: copy.place },
		{ name: 'source', label: 'Came from', value: copy.source },
		{ name: 'quantity', label: 'Quantity', value: String(copy.quantity), inputmode: 'numeric' },
		{
			name: 'attributes',
			label: 'Attributes',
			value: (copy.attributes ?? []).join('; '),
			placeholder: 'autograph; hand-cut'
		},
		{ name: 'cost', label: 'Cost of one', value: amount(copy.costMinor), inputmode: 'decimal' },
		{ name: 'value', label: 'Value of one', value: amount(copy.valueMinor), inputmode: 'decimal' },
		{ name: 'currency', label: 'Currency', value: copy.currency, placeholder: 'EUR' },
		{ name: 'valueSource', label: 'Value from', value: copy.valueSource },
		{ name: 'valueOn', label: 'Valued on', value: copy.valueOn, type: 'date' },
		{ name: 'acquiredOn', label: 'Got it on', value: copy.acquiredOn, type: 'date' }
	] as const satisfies readonly CopyField[]);

	/** The form as fields; what is empty is taken away, and what is not understood is a problem. */
	function fieldsOf(form: FormData) {
		const text = (name: string) => String(form.get(name) ?? '').trim() || null;
		const number = (name: string) => (text(name) === null ? null : Number(text(name)));
		const problems: Problem[] = [];
		let money = text('currency')?.toUpperCase() ?? null;
		const minor = (field: 'cost' | 'value') => {
			const typed = text(field);
			if (typed === null) return null;
			const amount = parseAmount(typed, money);
			// A number without any currency goes to the server, which asks for one with all else it finds.
			const bare = money === null ? parseAmount(typed, NO_CURRENCY) : amount;
			if (!amount.ok && bare.ok && money === null) return bare.value.minor;
			if (!amount.ok) {
				problems.push(...amount.problems.map((problem) => ({ ...problem, field })));
				return null;
			}
			// What one amount says of the currency holds for the other.
			money = amount.value.currency;
			return amount.value.minor;
		};
		const [costMinor, valueMinor] = [minor('cost'), minor('value')];
		const fields = {
			quantity: number('quantity') ?? 1,
			condition: text('condition'),
			grade: text('grade') === 'authentic' ? null : number('grade'),
			isAuthentic: text('grade') === 'authentic',
			qualifier: text('qualifier'),
			house: text('house'),
			certificate: text('certificate'),
			serial: text('serial'),
			place: text('place'),
			holder: text('holder'),
			source: text('source'),
			attributes: (text('attributes') ?? '')
				.split(/[;,]/)
				.map((word) => word.trim())
				.filter(Boolean),
			status: text('status') ?? 'kept',
			costMinor,
			valueMinor,
			currency: money,
			valueSource: text('valueSource'),
			valueOn: text('valueOn'),
			acquiredOn: text('acquiredOn'),
			isPrintingUnseen: form.get('isPrintingUnseen') !== null,
			alsoVariants: form.getAll('alsoVariants').map(String),
			note: text('note')
		};
		return { fields, problems };
	}

	function onsubmit(event: SubmitEvent & { currentTarget: HTMLFormElement }) {
		event.preventDefault();
		const { fields, problems } = fieldsOf(new FormData(event.currentTarget));
		void desk.save(copy.id, fields, problems);
	}
</script>

<form {onsubmit} class="my-3 grid grid-cols-2 gap-3 bg-base-200 p-4 sm:grid-cols-4">
	<Field label="Condition">
		<select class="select w-full select-sm" name="condition" value={copy.condition ?? ''}>
			<option value="">not looked at</option>
			{#each CONDITIONS as word (word)}<option value={word}>{word}</option>{/each}
		</select>
	</Field>
	<Field label="Grade">
		<select
			class="select w-full select-sm"
			name="grade"
			value={copy.isAuthentic ? 'authentic' : String(copy.grade ?? '')}
		>
			<option value="">not graded</option>
			<option value="authentic">authentic, no number</option>
			{#each GRADES as grade (grade)}<option value={String(grade)}>{grade}</option>{/each}
		</select>
	</Field>
	<Field label="With a qualifier"
		><input
			class="input w-full input-sm"
			name="qualifier"
			maxlength="40"
			placeholder="off centre"
			value={copy.qualifier ?? ''}
		/></Field
	>
	<Field label="What becomes of it">
		<select class="select w-full select-sm" name="status" value={copy.status}>
			{#each COPY_STATUSES as word (word)}<option value={word}>{word}</option>{/each}
		</select>
	</Field>
	<Field label="Holder">
		<select class="select w-full select-sm" name="holder" value={copy.holder ?? ''}>
			<option value="">none</option>
			{#each allHolders() as kind (kind.key)}<option value={kind.key}>{kind.name}</option>{/each}
		</select>
	</Field>
	{#each FIELDS as { name, label, value, ...more } (name)}
		<Field {label}
			><input
				class="input w-full input-sm"
				{name}
				value={value ?? ''}
				maxlength="200"
				autocomplete="off"
				aria-invalid={desk.problems.some(({ field }) => field === name) || undefined}
				{...more}
			/>
		</Field>
	{/each}
	<Field label="Note" class="col-span-2 sm:col-span-3"
		><input class="input w-full input-sm" name="note" maxlength="5000" value={copy.note ?? ''} />
	</Field>
	{#if deviations.length > 0}
		<fieldset class="col-span-2 sm:col-span-4">
			<legend class="text-sm quiet">Shows as well; it fills one slot all the same</legend>
			<div class="mt-1 flex flex-wrap gap-x-5 gap-y-1">
				{#each deviations as { key, name } (key)}
					<label class="flex items-center gap-2"
						><input
							type="checkbox"
							class="checkbox checkbox-sm"
							name="alsoVariants"
							value={key}
							checked={copy.alsoVariants?.includes(key)}
						/>{name}</label
					>
				{/each}
			</div>
		</fieldset>
	{/if}
	<label class="col-span-2 flex items-center gap-2 sm:col-span-4"
		><input
			type="checkbox"
			class="checkbox checkbox-sm"
			name="isPrintingUnseen"
			checked={copy.isPrintingUnseen}
		/>Printing not looked at</label
	>
	<Field label="Add a photo (JPEG, PNG, WebP)" class="col-span-2"
		><input
			class="file-input w-full file-input-sm"
			type="file"
			accept="image/jpeg,image/png,image/webp"
			onchange={async (event) => {
				const input = event.currentTarget;
				const [file] = input.files ?? [];
				if (file) await desk.addPhoto(copy.id, file);
				input.value = '';
			}}
		/>
	</Field>
	<div class="col-span-2 flex items-end justify-end gap-2">
		<button class="btn btn-primary btn-sm">Save</button>
	</div>
	<ProblemAlert problems={desk.problems} class="col-span-full" />
	{#if desk.notes.length > 0}
		<div class="col-span-full"><ProblemList problems={desk.notes} tone="note" /></div>
	{/if}
</form>
