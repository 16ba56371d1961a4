import { make, shot, open, bring, b } from './look.mjs';
const page=await make(1280,800);
await open(page,'Sand hollow'); await shot(page,'stretch');
await page.getByRole('tab',{name:'Pull'}).click(); await shot(page,'stretch-pull');
const ph=await make(390,844,true); await open(ph,'Sand hollow'); await shot(ph,'stretch-phone');
await ph.getByRole('tab',{name:'Pull'}).click(); await ph.locator('[data-attempts]').scrollIntoViewIfNeeded(); await shot(ph,'stretch-phone-pull');
await b.close();
