import { chromium } from '@playwright/test';
const url='http://127.0.0.1:8085';
const b=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu']});
const c=await b.newContext({viewport:{width:1280,height:800}}); const p=await c.newPage();
p.on('pageerror',e=>console.log('ERR',e.message)); p.on('response',r=>{ if(r.status()>=400) console.log(r.status(), r.url()); });
await p.goto(url+'/sign-in'); await p.getByLabel('E-mail').fill('ada@alderbrook.example'); await p.getByLabel('Password').fill('thicket-demo'); await p.getByRole('button',{name:'Sign in'}).click();
await p.waitForTimeout(2000);
const today=await (await p.request.get(url+'/api/v1/today',{headers:{Accept:'application/json',Referer:url}})).json();
const ids={}; for(const l of today.lines) ids[l.name]=l.id; console.log(Object.keys(ids).join(', '));
const S=process.argv[2]||'Common privet', what=process.argv[3]||'board', out=process.argv[4]||'/tmp/a.png', w=Number(process.argv[5]||1280);
await p.setViewportSize({width:w,height:w<600?844:800});
const key=Object.keys(ids).find(k=>k.toLowerCase().includes(S.toLowerCase()));
await p.goto(`${url}/stands/${ids[key]}/methods`); await p.waitForTimeout(2500);
if(what==='compare'){ const ticks=p.getByRole('checkbox',{name:/Side by side/}); for(let i=0;i<3;i++) await ticks.nth(i).check(); await p.getByRole('button',{name:/^Side by side/}).click(); }
if(what==='programmes'||what==='cost'){ await p.getByRole('button',{name: what==='cost'?'Cost':'Programmes',exact:true}).click(); }
await p.waitForTimeout(3000);
await p.screenshot({path:out,fullPage:process.argv[6]==='full'});
await b.close();
