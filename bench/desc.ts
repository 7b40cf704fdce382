import { COMPUTATIONS } from '../src/lib/server/compute/registry.ts';
export function run() {
  let total=0, miss: string[] = [];
  const seen = new Set<unknown>();
  function walk(s: any, path: string) {
    if (!s || typeof s !== 'object') return;
    if (s.properties) for (const [k,v] of Object.entries<any>(s.properties)) {
      if (!seen.has(v)) { seen.add(v); total++; if (!v.description) miss.push(`${path}/${k}`);
      walk(v, `${path}/${k}`); }
    }
    if (s.items) walk(s.items, path+'/*');
    for (const key of ['anyOf','oneOf','allOf']) if (s[key]) s[key].forEach((x:any,i:number)=>walk(x,`${path}/${key}${i}`));
    if (s.additionalProperties && typeof s.additionalProperties==='object') walk(s.additionalProperties,path+'/{}');
    if (s.patternProperties) for (const v of Object.values(s.patternProperties)) walk(v,path+'/{}');
  }
  for (const c of Object.values<any>(COMPUTATIONS as any)) { walk(c.input, c.name+' in'); walk(c.output, c.name+' out'); }
  console.log(total, miss.length); console.log(miss.join('\n'));
}
