export const match = (form: string): form is 'csv' | 'json' => form === 'csv' || form === 'json';
