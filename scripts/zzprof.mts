import { readFileSync } from "node:fs";
import { plan } from "/work/main/core/plan/index.ts";
import { DEMO_DISHES } from "/work/main/core/recipe/demoBook.testing.ts";
import * as B from "/work/main/bench/plan.ts";
const name = process.argv[2] ?? "Lamb shoulder under";
const recipe = DEMO_DISHES.find(d=>d.name.startsWith(name))!;
const { KITCHEN, ORDER } = B as any;
const t:number[]=[];
for (let i=0;i<150;i++){ const s=performance.now(); plan(recipe,{...ORDER,covers:1200+i%40},KITCHEN); t.push(performance.now()-s);}
t.sort((a,b)=>a-b); console.log("median",t[75]);
process.exit(0);
