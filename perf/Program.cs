using FaithfulBracket.Perf;
using System.Diagnostics;
using FaithfulBracket.Core.Match.Identify;
var f = new BoardFamilies(5000,5,4,1);
var sw=Stopwatch.StartNew();
var cache=Enumerable.Range(0,f.Count).AsParallel().AsOrdered().Select(f.Make).ToArray(); var list = cache.Select(b=>(b.Id, Constellation.Of(b))).ToList();
Console.WriteLine($"made {sw.Elapsed}"); sw.Restart();
var index = TwinIndex.Build(list);
Console.WriteLine($"built {sw.Elapsed} {index.Bytes/1048576.0} MB");
int right=0; var times=new List<double>();
for(int k=0;k<300;k++){ var r=new Random(k); var t=r.Next(f.Count); var q=BoardFamilies.Measure(f.Make(t),0.1,.3,.3,r);
 sw.Restart(); var res=TwinSearch.Run(q,0.1,[index],id=>cache[BoardFamilies.NumberOf(id)],_=>[]); times.Add(sw.Elapsed.TotalMilliseconds);
 if(res.Candidates.Count>0 && f.ClassOf(BoardFamilies.NumberOf(res.Candidates[0].BoardId))==f.ClassOf(t)) right++; }
times.Sort(); Console.WriteLine($"{right}/300 median {times[150]} p95 {times[285]} max {times[^1]}");
