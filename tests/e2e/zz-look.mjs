import { chromium } from '@playwright/test';
const b=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu','--disable-quic']});
const w=Number(process.argv[3]??1280), h=w<500?844:800;
const p=await b.newPage({viewport:{width:w,height:h}});
p.on('console',m=>m.type()==='error'&&console.log('console:',m.text())); p.on('pageerror',e=>console.log('error:',e.message));
await p.goto('http://127.0.0.1:8085/sign-in'); await p.getByLabel('E-mail').fill('ada@alderbrook.example'); await p.getByLabel('Password').fill('thicket-demo'); await p.getByRole('button',{name:'Sign in'}).click(); await p.getByRole('heading',{name:'Thu 3 Sep 2026'}).waitFor();
const steps=(await import(process.argv[2])).default;
await steps(p,async(n)=>{await p.waitForTimeout(400);await p.screenshot({path:`/tmp/w/${n}.png`});});
await b.close();
