using System.Collections.Concurrent;
using System.Diagnostics;
using System.Globalization;

namespace FaithfulBracket.Mutants;

/// <summary>Gives rules to workers, two at a time, and ends one that hangs: a rule that hangs or crashes is noticed too.</summary>
internal sealed class Watch(string folder, string classes, string coverage)
{
    private const int Workers = 2;

    /// <summary>A rule's tests may take this much longer than unchanged, and some seconds, before they are taken to hang.</summary>
    private const double Patience = 6;
    private static readonly TimeSpan Start = TimeSpan.FromSeconds(20);

    /// <summary>What a worker's first round of all tests takes, unchanged.</summary>
    private readonly double _roundMs = Worker.Read(coverage).Sum(c => c.Ms);

    /// <summary>Which test noticed each rule; null for none, <see cref="Worker.Spoilt"/> where it cannot be told.</summary>
    public Task<IReadOnlyDictionary<int, string?>> RunAsync(IEnumerable<int> rules) =>
        EachAsync(
            rules,
            async next =>
            {
                Process? worker = null;
                while (next() is { } rule)
                {
                    worker ??= Begin("work", null);
                    await worker.StandardInput.WriteLineAsync(rule.Id.ToString(CultureInfo.InvariantCulture));
                    await worker.StandardInput.FlushAsync();
                    rule.Found(await AnswerAsync(worker));
                    if (worker.HasExited)
                        worker = null;
                }
                worker?.Kill();
            }
        );

    /// <summary>The same, each in a process of its own.</summary>
    public Task<IReadOnlyDictionary<int, string?>> FreshAsync(IEnumerable<int> rules) =>
        EachAsync(
            rules,
            async next =>
            {
                while (next() is { } rule)
                    rule.Found(await AnswerAsync(Begin("fresh", rule.Id)));
            }
        );

    private sealed record Asked(int Id, Action<string?> Found);

    /// <summary>Shares the rules among workers, each taking the next when it has answered.</summary>
    private static async Task<IReadOnlyDictionary<int, string?>> EachAsync(
        IEnumerable<int> rules,
        Func<Func<Asked?>, Task> work
    )
    {
        var left = new ConcurrentQueue<int>(rules);
        var found = new ConcurrentDictionary<int, string?>();
        Asked? Next() => left.TryDequeue(out var id) ? new(id, test => found[id] = test) : null;
        await Task.WhenAll(Enumerable.Range(0, Workers).Select(_ => work(Next)));
        return found;
    }

    private Process Begin(string what, int? rule)
    {
        var start = new ProcessStartInfo("dotnet")
        {
            ArgumentList = { typeof(Watch).Assembly.Location, what, folder, classes, coverage },
            RedirectStandardInput = true,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        };
        if (rule is { } id)
            start.ArgumentList.Add(id.ToString(CultureInfo.InvariantCulture));
        var process = Process.Start(start)!;
        process.ErrorDataReceived += (_, _) => { };
        process.BeginErrorReadLine();
        return process;
    }

    private async Task<string?> AnswerAsync(Process worker)
    {
        try
        {
            var says = await worker
                .StandardOutput.ReadLineAsync()
                .WaitAsync(Start + TimeSpan.FromMilliseconds(_roundMs * Patience));
            if (says is null)
            {
                worker.WaitForExit();
                return "it crashed";
            }
            var may = TimeSpan.FromMilliseconds(double.Parse(says, CultureInfo.InvariantCulture) * Patience);
            var test = await worker.StandardOutput.ReadLineAsync().WaitAsync(Start + may);
            if (test is null or Worker.Spoilt or Worker.Hung)
                worker.WaitForExit();
            return test switch
            {
                null => "it crashed",
                "" => null,
                _ => test,
            };
        }
        catch (TimeoutException)
        {
            worker.Kill();
            worker.WaitForExit();
            return Worker.Hung;
        }
    }
}
