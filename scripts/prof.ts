import { prepareWeather } from '../core/src/heat/prepare';
import { runBed, runOutside } from '../core/src/heat/run';
const t0 = Date.parse('2027-01-14T12:00:00Z');
const wx = (o:any={}) => Array.from({length:49},(_, i)=>{ const h=(12+i)%24; const amp=Math.cos((h-15)/24*2*Math.PI); return { time:new Date(t0+i*3600e3).toISOString(), airC:(o.m??-1)+ (o.a??6)*amp, dewPointC:(o.m??-1)-7, windMs:o.w??0.5, cloudFraction:o.c??0 }});
const house={lengthM:20,widthM:6,heightM:2.6,shape:'arch',material:'pe-film',tightness:'average',ventAreaM2:8} as const;
const fleece={lengthM:18,widthM:1.2,heightM:0.5,shape:'arch',material:'fleece-30'} as const;
const blanket={lengthM:18,widthM:1.4,heightM:0.7,shape:'arch',material:'fleece-50'} as const;
for (const st of [[house],[house,blanket,fleece]] as any[]) {
 const p=prepareWeather({latitude:42.7,longitude:-5.4},wx()); const spec={ground:{deepC:7,surfaceC:5},stack:st};const o=runOutside(p,spec.ground);
 for(let i=0;i<50;i++)runBed(spec,p,{outside:o}); const a=performance.now();for(let i=0;i<500;i++)runBed(spec,p,{outside:o});console.log(st.length,((performance.now()-a)/500).toFixed(2),'ms');
}
import { stats } from '../core/src/heat/step'; console.log(stats.its/stats.steps);
