import { chromium } from '@playwright/test';
const [,, out, path, w='1280', h='800', ...steps] = process.argv;
const b = await chromium.launch({ executablePath:'/usr/bin/chromium', args:['--no-sandbox','--disable-gpu','--disable-dev-shm-usage']});
const p = await b.newPage({ viewport:{width:+w,height:+h} });
p.on('console',m=>{ if(m.type()==='error') console.log('console:',m.text().slice(0,200)); }); p.on('pageerror',e=>console.log('pageerror',e.message));
await p.goto('http://127.0.0.1:4299'+path); await p.waitForLoadState('networkidle'); await p.waitForTimeout(900);
for (const s of steps){ if(s.startsWith('click:')) await p.getByText(s.slice(6)).first().click(); else if(s.startsWith('sel:')) await p.locator(s.slice(4)).first().click(); else if(s.startsWith('scroll:')) await p.evaluate((t)=>{const e=[...document.querySelectorAll('h1,h2,h3,summary,label,strong,p')].find(x=>x.textContent.includes(t)); e&&e.scrollIntoView({block:'center'});}, s.slice(7)); else if(s.startsWith('key:')) await p.keyboard.press(s.slice(4)); await p.waitForTimeout(700); }
await p.screenshot({path:out}); await b.close();
