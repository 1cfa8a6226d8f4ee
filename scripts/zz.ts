import { chromium } from "@playwright/test";
import { House } from "../e2e/house.ts";
const house = new House(); house.seed(); await house.start();
const browser = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox","--disable-gpu","--lang=en-GB"] });
const page = await browser.newPage({ baseURL: house.url, locale: "en-GB", viewport: { width: 1280, height: 800 } });
page.setDefaultTimeout(20000);
try {
 await page.goto("/sittings",{waitUntil:"networkidle"});
 const links = await page.locator("a").evaluateAll(as=>as.map(a=>a.getAttribute("href")));
 const sits=[...new Set(links.filter(l=>/^\/sittings\/[^/]+$/.test(l??"")))];
 console.log(sits.length);
 let n=0;
 for (const s of sits) { await page.goto(s!,{waitUntil:"networkidle"});
  const tables=await page.getByRole("link",{name:"Open the long table"}).evaluateAll(as=>as.map(a=>a.getAttribute("href")));
  for (const t of tables) { await page.goto(t+"?place=reheat",{waitUntil:"networkidle"});
    const body=await page.locator("body").innerText();
    if (/Reheat from/.test(body) && n<3) { n++; await page.screenshot({path:`/tmp/r${n}.png`}); console.log(t, body.match(/Lift off the set fat[^\n]*/)?.[0], body.match(/deep[^\n]*/g)?.slice(0,3));
      if(n===1){await page.goto(t+"?place=chill",{waitUntil:"networkidle"}); await page.screenshot({path:`/tmp/c1.png`});}
      if(/carry|ferry/i.test(body)){await page.goto(t+"?place=carry",{waitUntil:"networkidle"}); await page.screenshot({path:`/tmp/carry.png`});}
    }
  } }
 await page.goto(sits[0]+"/change",{waitUntil:"networkidle"}).catch(()=>{}); 
} finally { await browser.close(); await house.stop(); }
