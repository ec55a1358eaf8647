using System.Diagnostics;
using System.Globalization;
using FaithfulBracket.Mutants;

// look FOLDER CLASSES COVERAGE REPORT ROOM TELL: every rule of a room, looked at by the tests of these classes
// cover, work, fresh FOLDER CLASSES COVERAGE [HALF or RULE]: what the watch starts
var (what, folder, classes, coverage) = (args[0], args[1], args[2], args[3]);
var named = classes.Split(',').ToHashSet();
switch (what)
{
    case "cover":
        Worker.Cover(folder, named, coverage, int.Parse(args[4], CultureInfo.InvariantCulture));
        return 0;
    case "work":
        Worker.Work(folder, named, coverage);
        return 0;
    case "fresh":
        Worker.Fresh(folder, named, coverage, int.Parse(args[4], CultureInfo.InvariantCulture));
        return 0;
}

RuleSwitch.Quicken(Path.Combine(folder, "FaithfulBracket.Core.dll"));

// two halves side by side
var halves = Enumerable
    .Range(0, 2)
    .Select(half =>
        Process.Start(
            new ProcessStartInfo("dotnet")
            {
                ArgumentList =
                {
                    typeof(Watch).Assembly.Location,
                    "cover",
                    folder,
                    classes,
                    $"{coverage}.{half}",
                    $"{half}",
                },
            }
        )!
    )
    .ToList();
foreach (var half in halves)
{
    await half.WaitForExitAsync();
    if (half.ExitCode != 0)
        return 1;
}

Worker.Join(coverage, halves.Count);
var rules = Rule.All(args[4], args[5]);
Worker.WriteFiles(coverage, rules);
var covered = Worker.Read(coverage).SelectMany(c => c.Rules).ToHashSet();
var kept = Worker.Read(coverage).SelectMany(c => c.Kept).ToHashSet();
var watch = new Watch(folder, classes, coverage);
var clock = Stopwatch.StartNew();
var noticed = await watch.RunAsync(rules.Select(r => r.Id).Where(covered.Contains));
Console.WriteLine(
    $"{noticed.Count} of {rules.Count} rules are run through, {noticed.Values.Count(n => n is null)} lived, {clock.Elapsed.TotalSeconds:0} s"
);

// what is kept in static fields was made before the rule changed: those that lived and made it are looked at in processes of their own
var fresh = await watch.FreshAsync(
    noticed.Where(n => n.Value is Worker.Spoilt || n.Value is null && kept.Contains(n.Key)).Select(n => n.Key)
);
string? By(Rule r) => fresh.TryGetValue(r.Id, out var own) ? own : noticed.GetValueOrDefault(r.Id);
using var tell = new StreamWriter(args[6]);
foreach (var file in rules.GroupBy(r => r.File))
{
    tell.WriteLine($"{Path.GetFileName(file.Key)} {file.Count(r => By(r) is not null)}/{file.Count()}");
    foreach (var r in file.Where(r => By(r) is null))
        tell.WriteLine(
            $"  {r.Line}\t{(covered.Contains(r.Id) ? "lived" : "never run")}\t{r.Change}\t{r.To.ReplaceLineEndings(" ")}"
        );
}

var killed = rules.Count(r => By(r) is not null);
Console.WriteLine(
    string.Create(
        CultureInfo.InvariantCulture,
        $"{killed} of {rules.Count} changed rules noticed, {100.0 * killed / Math.Max(1, rules.Count):0.0} %; {clock.Elapsed.TotalMinutes:0.0} min"
    )
);
return 0;
