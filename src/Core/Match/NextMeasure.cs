using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Match;

/// <summary>One thing to measure and what it is worth.</summary>
/// <param name="What">hole or height.</param>
/// <param name="ChanceThen">Chance of seating if it proves to be where it was seen; null for heights, which count by their room.</param>
public sealed record Measure(string What, string Id, double? ChanceThen, string Text);

/// <summary>What turns "unproven" into an answer soonest.</summary>
public static class NextMeasure
{
    private const int Most = 4;

    public static IReadOnlyList<Measure> For(
        Board board,
        Block block,
        FitResult fit,
        FitSettings? settings = null,
        CancellationToken cancel = default
    )
    {
        settings ??= new();
        if (board.PositionSigmaMm <= 0)
            return [];
        var laid = Laying.Best(board, LaidBlock.Plates(block, p => p.Board is null || p.Board == board.Id), settings);
        // what is settled needs no caliper
        var open = fit.ChanceOfSeating >= settings.Fails && fit.ChanceOfSeating <= settings.Passes;
        var holes = fit
            .Screws.Where(s => open && s is { Required: true, BoardHole: not null })
            .Select(s =>
            {
                var then = SeatingChance.Of(board, laid.Alignment, laid.Loose, settings.Seed, s.BoardHole, cancel);
                var spare = (s.SlackMm ?? 0) - (s.MissMm ?? 0);
                return new Measure(
                    "hole",
                    s.BoardHole!,
                    then,
                    spare >= 0
                        ? FormattableString.Invariant(
                            $"Hole {s.BoardHole}: {spare:0.00} mm to spare at ±{3 * board.PositionSigmaMm:0.00}. Where it was seen, the chance goes from {fit.ChanceOfSeating * 100:0} to {then * 100:0} %."
                        )
                        : FormattableString.Invariant(
                            $"Hole {s.BoardHole} is {-spare:0.00} mm past its slack. If it is truly there, the chance goes from {fit.ChanceOfSeating * 100:0} to {then * 100:0} %."
                        )
                );
            })
            .OrderByDescending(m => Math.Abs(m.ChanceThen!.Value - fit.ChanceOfSeating))
            .Take(Most - 1);
        var heights = fit
            .Margins.Where(m => board.FindPart(m.Part) is { } p && Math.Abs(m.MarginMm) < Math.Max(0.3, p.HeightTolMm))
            .Select(m => new Measure(
                "height",
                m.Part,
                null,
                FormattableString.Invariant(
                    $"Height of {m.Part}: {m.MarginMm:0.00} mm of room, known to ±{board.FindPart(m.Part)!.HeightTolMm:0.00}. Put the caliper on it."
                )
            ));
        return [.. heights.Take(2), .. holes];
    }
}
