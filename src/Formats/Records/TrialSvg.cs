using System.Globalization;
using System.Text;
using FaithfulBracket.Core.Prove;

namespace FaithfulBracket.Formats.Records;

/// <summary>Before, after and expected with their bands, each run a dot in its order: one picture for the client.</summary>
public static class TrialSvg
{
    private const double Wide = 640,
        High = 190,
        Left = 54,
        Right = 128,
        Top = 14,
        Foot = 34;

    public static string Draw(JobTrial trial)
    {
        List<double> ends =
        [
            0,
            .. trial.Runs.Select(r => r.OverK),
            .. new[] { trial.Before, trial.After, trial.Expected }
                .OfType<TrialBand>()
                .SelectMany(b => new[] { b.OverK - b.PlusMinusK, b.OverK + b.PlusMinusK }),
        ];
        // one wild band does not press the dots flat
        double most = Math.Max(1, Math.Min(ends.Max(), 1.6 * trial.Runs.Max(r => r.OverK)) * 1.06),
            least = Math.Max(ends.Min(), -0.2 * most);
        double X(double order) => Left + (order - 0.5) / trial.Runs.Count * (Wide - Left - Right);
        double Y(double k) => Top + (most - Math.Clamp(k, least, most)) / (most - least) * (High - Top - Foot);
        var s = new StringBuilder(
            $"""<svg class="runs" viewBox="0 0 {N(Wide)} {N(High)}" role="img" aria-label="{trial.Runs.Count} runs before and after" font-family="sans-serif" font-size="15" fill="#1d2a2e">"""
        );
        foreach (var phase in new[] { Phase.Before, Phase.After })
        {
            var runs = trial.Runs.Where(r => r.Phase == phase).ToList();
            var (from, to) = (X(runs[0].Order - 0.5), X(runs[^1].Order + 0.5));
            var band = phase == Phase.Before ? trial.Before : trial.After;
            var (fill, line) = phase == Phase.Before ? ("#e9d5b8", "#8a5a12") : ("#cfe4df", "#0f6a63");
            Band(s, from, to, Y(band.OverK + band.PlusMinusK), Y(band.OverK - band.PlusMinusK), fill);
            Line(s, from, to, Y(band.OverK), line, null);
            s.Append(
                CultureInfo.InvariantCulture,
                $"""<text x="{N((from + to) / 2)}" y="{N(High - 10)}" text-anchor="middle">{(phase == Phase.Before ? "before" : "after")}, {band.OverK:0} K</text>"""
            );
            if (phase == Phase.After && trial.Expected is { } e)
            {
                Line(s, from, to + 8, Y(e.OverK + e.PlusMinusK), "#1d2a2e", "3 3");
                Line(s, from, to + 8, Y(e.OverK - e.PlusMinusK), "#1d2a2e", "3 3");
                s.Append(
                    CultureInfo.InvariantCulture,
                    $"""<text x="{N(to + 12)}" y="{N(Y(e.OverK) + 5)}">{e.OverK:0} expected</text>"""
                );
            }
            foreach (var r in runs)
                s.Append(
                    CultureInfo.InvariantCulture,
                    $"""<circle cx="{N(X(r.Order))}" cy="{N(Y(r.OverK))}" r="5" fill="{line}"/>"""
                );
        }
        s.Append(
            CultureInfo.InvariantCulture,
            $"""<line x1="{N(Left)}" x2="{N(Wide - Right)}" y1="{N(Y(0))}" y2="{N(Y(0))}" stroke="#1d2a2e"/><text x="{N(Left - 6)}" y="{N(Y(0) + 5)}" text-anchor="end">0 K</text><text x="{N(Left - 6)}" y="{N(Y(trial.Before.OverK) + 5)}" text-anchor="end">{trial.Before.OverK:0}</text></svg>"""
        );
        return s.ToString();
    }

    private static void Band(StringBuilder s, double x1, double x2, double y1, double y2, string fill) =>
        s.Append(
            $"""<rect x="{N(x1)}" y="{N(y1)}" width="{N(x2 - x1)}" height="{N(Math.Max(1, y2 - y1))}" fill="{fill}"/>"""
        );

    private static void Line(StringBuilder s, double x1, double x2, double y, string stroke, string? dashes) =>
        s.Append(
            $"""<line x1="{N(x1)}" x2="{N(x2)}" y1="{N(y)}" y2="{N(y)}" stroke="{stroke}" stroke-width="1.5"{(dashes is null ? "" : $" stroke-dasharray=\"{dashes}\"")}/>"""
        );

    private static string N(double v) => v.ToString("0.##", CultureInfo.InvariantCulture);
}
