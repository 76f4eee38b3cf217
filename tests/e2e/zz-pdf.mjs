import { chromium } from '@playwright/test'; import fs from 'fs';
const url='http://127.0.0.1:8085';
const b=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu']});
const c=await b.newContext(); const p=await c.newPage();
await p.goto(url+'/sign-in'); await p.getByLabel(/mail/i).fill('ada@alderbrook.example'); await p.getByLabel('Password').fill('thicket-demo'); await p.keyboard.press('Enter'); await p.waitForURL(/today/);
const s=await p.evaluate(async()=>{const t=await (await fetch('/api/v1/today')).json(); const l=t.lines.find(x=>x.name==='Norway maple'); return (await (await fetch('/api/v1/stands/'+l.id)).json()).step.id;});
const r=await c.request.get(url+`/api/v1/steps/${s}/mixing-card.pdf`); console.log(r.status()); fs.writeFileSync('/tmp/card.pdf',await r.body()); await b.close();
