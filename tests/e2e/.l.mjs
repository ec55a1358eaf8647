import { chromium } from 'playwright'
const b=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu']})
const p=await b.newPage({viewport:{width:1280,height:800}})
for(const a of process.argv.slice(2)){const [u,f]=a.split('=>'); await p.goto('http://127.0.0.1:5197'+u); await p.waitForLoadState('load'); await p.waitForTimeout(1500); await p.screenshot({path:'/tmp/'+f+'.png'})}
await b.close()
