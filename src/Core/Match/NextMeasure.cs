using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Words.Match;

namespace FaithfulBracket.Core.Match;

/// <summary>One thing to measure and what it is worth.</summary>
/// <param name="What">hole or height.</param>
/// <param name="ChanceThen">Chance of seating if it proves to be where it was seen; null for heights, which count by their room.</param>
public sealed record Measure(string What, string Id, double? ChanceThen, Message Text);

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
                var then = SeatingChance.Compute(board, laid.Alignment, laid.Loose, settings.Seed, s.BoardHole, cancel);
                var spare = (s.SlackMm ?? 0) - (s.MissMm ?? 0);
                return new Measure(
                    "hole",
                    s.BoardHole!,
                    then,
                    spare >= 0
                        ? NextMeasureWords.HoleToSpare(
                            s.BoardHole,
                            spare,
                            3 * board.PositionSigmaMm,
                            fit.ChanceOfSeating * 100,
                            then * 100
                        )
                        : NextMeasureWords.HoleIsPastSlack(s.BoardHole, -spare, fit.ChanceOfSeating * 100, then * 100)
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
                NextMeasureWords.HeightOfOfRoomKnown(m.Part, m.MarginMm, board.FindPart(m.Part)!.HeightTolMm)
            ));
        return [.. heights.Take(2), .. holes];
    }
}
