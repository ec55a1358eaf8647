using System.Globalization;
using System.Runtime.InteropServices;
using System.Text;
using BenchmarkDotNet.Reports;

namespace FaithfulBracket.Perf;

/// <summary>Writes docs/performance.md: ours against the plain way, measured in one run.</summary>
internal static class Table
{
    public static void Write(IEnumerable<Summary> summaries)
    {
        var reports = summaries.SelectMany(s => s.Reports).Where(r => r.ResultStatistics is not null).ToList();
        if (reports.Count == 0)
            return;
        var text = new StringBuilder(
            "# Performance\n\nWritten by `./run perf`. Each line is measured in one run; the plain "
                + "way is the straightforward implementation in `perf/`.\n"
        );
        text.Append(
            CultureInfo.InvariantCulture,
            $"Machine: {Environment.ProcessorCount} cores, {RuntimeInformation.FrameworkDescription}, "
                + $"{RuntimeInformation.OSArchitecture}.\n\n"
        );
        text.Append("| what | ours | plain | ratio | note |\n|---|---:|---:|---:|---|\n");
        foreach (
            var group in reports.GroupBy(r =>
                r.BenchmarkCase.Descriptor.Categories.FirstOrDefault() ?? r.BenchmarkCase.Descriptor.WorkloadMethod.Name
            )
        )
        {
            var ours = group.FirstOrDefault(r => !r.BenchmarkCase.Descriptor.Baseline);
            var plain = group.FirstOrDefault(r => r.BenchmarkCase.Descriptor.Baseline);
            if (ours is null)
                continue;
            var note =
                ours.BenchmarkCase.Descriptor.WorkloadMethod.GetCustomAttributes(typeof(NoteAttribute), false)
                    .Cast<NoteAttribute>()
                    .FirstOrDefault()
                    ?.Text
                ?? "";
            text.Append(
                CultureInfo.InvariantCulture,
                $"| {group.Key} | {Time(ours)} | {(plain is null ? "" : Time(plain))} | "
                    + $"{(plain is null ? "" : (Median(plain) / Median(ours)).ToString(Median(plain) < Median(ours) ? "0.###" : "0.#", CultureInfo.InvariantCulture) + "×")} "
                    + $"| {note} |\n"
            );
        }
        foreach (var line in Facts.Lines)
            text.Append("\n- ").Append(line);
        text.Append('\n');
        // what is no measurement of this run stays: sections that others wrote
        var before = File.Exists(Demo.DocsFile) ? File.ReadAllText(Demo.DocsFile) : "";
        if (before.IndexOf("\n## ", StringComparison.Ordinal) is >= 0 and var kept)
            text.Append(before[kept..]);
        File.WriteAllText(Demo.DocsFile, text.ToString());
        Console.WriteLine(text);
    }

    private static double Median(BenchmarkReport r) =>
        r.ResultStatistics!.Median
        * (
            r.BenchmarkCase.Descriptor.WorkloadMethod.GetCustomAttributes(typeof(ScaleAttribute), false)
                .Cast<ScaleAttribute>()
                .FirstOrDefault()
                ?.Factor
            ?? 1
        );

    private static string Time(BenchmarkReport r) =>
        Median(r) switch
        {
            < 1e3 and var ns => $"{ns.ToString("0", CultureInfo.InvariantCulture)} ns",
            < 1e6 and var ns => $"{(ns / 1e3).ToString("0.#", CultureInfo.InvariantCulture)} µs",
            < 1e9 and var ns => $"{(ns / 1e6).ToString("0.##", CultureInfo.InvariantCulture)} ms",
            var ns => $"{(ns / 1e9).ToString("0.##", CultureInfo.InvariantCulture)} s",
        };
}

/// <summary>What stands in the table's last column.</summary>
[AttributeUsage(AttributeTargets.Method)]
internal sealed class NoteAttribute(string text) : Attribute
{
    public string Text { get; } = text;
}

/// <summary>The method measures a sample; the whole takes this many times as long.</summary>
[AttributeUsage(AttributeTargets.Method)]
internal sealed class ScaleAttribute(int factor) : Attribute
{
    public int Factor { get; } = factor;
}

/// <summary>Figures beside times: accuracy, memory, waste.</summary>
internal static class Facts
{
    public static List<string> Lines { get; } = Measure();

    private static List<string> Measure() => [TwinBenchmarks.Accuracy(), CuttingBenchmarks.Waste()];
}
