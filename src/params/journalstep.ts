export const match = (step: string): step is 'redo' | 'undo' => step === 'undo' || step === 'redo';
