using System.Diagnostics;
using System.Text.Json;

namespace FaithfulBracket.Mutants;

/// <summary>What a test costs and which changed rules it runs through.</summary>
/// <param name="Kept">Those that it runs through the first time only: what they made was kept.</param>
internal sealed record Coverage(string Test, double Ms, IReadOnlyList<int> Rules, IReadOnlyList<int> Kept);

/// <summary>One process that runs tests; the watch starts it, asks it, and ends it when it hangs.</summary>
internal static class Worker
{
    /// <summary>Runs each test once, watched, and writes what it runs through.</summary>
    /// <param name="half">Every second test: 0 or 1.</param>
    public static void Cover(string folder, IReadOnlySet<string> classes, string file, int half)
    {
        var core = new ChangedCore(folder);
        var list = new List<Coverage>();
        foreach (var test in TestCase.In(core.Tests, classes).Where((_, i) => i % 2 == half))
        {
            var passes = false;
            var rules = core.Covered(() => passes = test.Passes());
            var clock = Stopwatch.StartNew();
            core.SwitchOn(-1);
            // once more, warm: what is kept from the first time is what later runs find too
            var again = core.Covered(() => passes &= test.Passes());
            if (passes)
                list.Add(new(test.Name, clock.Elapsed.TotalMilliseconds, rules, [.. rules.Except(again)]));
            else
                Console.Error.WriteLine($"left out, it fails by itself: {test.Name}");
        }
        File.WriteAllText(file, JsonSerializer.Serialize(list));
    }

    /// <summary>Said instead of a test by a worker that has to be begun afresh.</summary>
    public const string Spoilt = "spoilt";

    /// <summary>Said instead of a test by a worker that ends itself because a test does not.</summary>
    public const string Hung = "it hung";

    /// <summary>A test may take this many times as long as unchanged, and two seconds.</summary>
    private const double Patience = 4;
    private static readonly TimeSpan Pause = TimeSpan.FromSeconds(2);

    /// <summary>Whether a test passes; one that does not end is told, and ends this process.</summary>
    private static bool Passes(TestCase test, double ms)
    {
        using var watch = new Timer(
            _ =>
            {
                Console.WriteLine(Hung);
                Process.GetCurrentProcess().Kill();
            },
            null,
            Pause + TimeSpan.FromMilliseconds(ms * Patience),
            Timeout.InfiniteTimeSpan
        );
        return test.Passes();
    }

    /// <summary>
    /// So much of the tests looks at a rule, unchanged time; more tests than that count as not looking, ms. Tests named after the
    /// rule's file have a time of their own.
    /// </summary>
    private const double MostMs = 6000,
        MostNamedMs = 15_000,
        MostAfreshMs = 20_000;

    /// <summary>A test named after the rule's file counts as much more likely; so does one that noticed a change there before.</summary>
    private const double Named = 20,
        NoticedHere = 10;

    private static IEnumerable<Coverage> Within(IEnumerable<Coverage> tests, double mostMs)
    {
        var spent = 0.0;
        foreach (var test in tests)
        {
            if (spent > 0 && spent + test.Ms > mostMs)
                continue;
            spent += test.Ms;
            yield return test;
        }
    }

    /// <summary>Reads a rule's number a line, says how long its tests may take, then which test noticed it.</summary>
    public static void Work(string folder, IReadOnlySet<string> classes, string coverage)
    {
        var core = new ChangedCore(folder);
        var tests = TestCase.In(core.Tests, classes).ToDictionary(t => t.Name);
        var by = Read(coverage)
            .OrderBy(c => c.Ms)
            .SelectMany(c => c.Rules.Select(r => (Rule: r, Of: c)))
            .ToLookup(x => x.Rule, x => x.Of);
        var files = ReadFiles(coverage);
        var noticed = new Dictionary<string, int>();
        var here = new Dictionary<(string File, string Test), int>();
        // what the tests keep once they have calculated it is to be of unchanged rules
        core.SwitchOn(-1);
        var made = new HashSet<int>();
        foreach (var c in Read(coverage).OrderBy(c => c.Ms).Where(c => c.Kept.Except(made).Any()))
        {
            tests[c.Test].Passes();
            made.UnionWith(c.Kept);
        }
        while (Console.ReadLine() is { } line && int.TryParse(line, out var rule))
        {
            Console.WriteLine($"{by[rule].Sum(c => c.Ms):0}");
            core.SwitchOn(rule);
            // what noticed much before is asked first, what is quick, and what runs through little else;
            // first of all what is named after the file or noticed a change in it
            var file = files[rule];
            bool IsNamed(Coverage c) => c.Test.StartsWith(file.TrimEnd('s'), StringComparison.Ordinal);
            double Likely(Coverage c) =>
                (1 + noticed.GetValueOrDefault(c.Test) + NoticedHere * here.GetValueOrDefault((file, c.Test)))
                * (IsNamed(c) ? Named : 1)
                / ((c.Ms + 1) * c.Rules.Count);
            var asked = by[rule].OrderByDescending(Likely).ToList();
            var found = Within(asked.Where(IsNamed), MostNamedMs)
                .Concat(Within(asked.Where(c => !IsNamed(c)), MostMs))
                .OrderByDescending(Likely)
                .FirstOrDefault(c => !Passes(tests[c.Test], c.Ms));
            core.SwitchOn(-1);
            if (found is null)
            {
                Console.WriteLine();
                continue;
            }
            noticed[found.Test] = noticed.GetValueOrDefault(found.Test) + 1;
            here[(file, found.Test)] = here.GetValueOrDefault((file, found.Test)) + 1;
            // something was kept while the rule was changed: nothing of this process counts from here
            if (!tests[found.Test].Passes())
            {
                Console.WriteLine(Spoilt);
                return;
            }
            Console.WriteLine(found.Test);
        }
    }

    /// <summary>All tests in a process whose every static field was made with the rule changed.</summary>
    public static void Fresh(string folder, IReadOnlySet<string> classes, string coverage, int rule)
    {
        var core = new ChangedCore(folder);
        core.SwitchOn(rule);
        var tests = TestCase.In(core.Tests, classes).ToDictionary(t => t.Name);
        var all = Read(coverage).OrderBy(c => c.Ms).ToList();
        Console.WriteLine($"{all.Sum(c => c.Ms):0}");
        Console.WriteLine(Within(all, MostAfreshMs).FirstOrDefault(c => !Passes(tests[c.Test], c.Ms))?.Test ?? "");
    }

    /// <summary>Lays the halves together.</summary>
    public static void Join(string file, int halves) =>
        File.WriteAllText(
            file,
            JsonSerializer.Serialize(Enumerable.Range(0, halves).SelectMany(h => Read($"{file}.{h}")).ToList())
        );

    /// <summary>Which file each rule stands in, its name alone: beside what the tests run through.</summary>
    public static void WriteFiles(string coverage, IEnumerable<Rule> rules) =>
        File.WriteAllText(
            coverage + ".files",
            JsonSerializer.Serialize(rules.ToDictionary(r => r.Id, r => Path.GetFileNameWithoutExtension(r.File)))
        );

    private static Dictionary<int, string> ReadFiles(string coverage) =>
        JsonSerializer.Deserialize<Dictionary<int, string>>(File.ReadAllText(coverage + ".files"))!;

    public static IReadOnlyList<Coverage> Read(string file) =>
        JsonSerializer.Deserialize<List<Coverage>>(File.ReadAllText(file))!;
}
