using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Words.Match;

namespace FaithfulBracket.Core.Match;

/// <summary>What a block's own figures rest on, and the one measurement that would help most.</summary>
internal static class BlockEvidence
{
    /// <summary>Code of the reason that makes any verdict wait: lands or screws that nobody has looked at.</summary>
    public const string Assumed = "assumed-block";

    private const int MaxNamed = 5;

    /// <param name="block">With the plates that are judged.</param>
    public static IEnumerable<Judgement> For(Block block, Laid laid)
    {
        List<Land> lands = [.. block.Plates.SelectMany(p => p.Lands)];
        List<string> assumed =
        [
            .. lands.Where(l => l.Evidence == FigureGrade.Assumed).Select(l => l.Id),
            .. block
                .Plates.SelectMany(p => p.Holes)
                .Where(h => h is { Required: true, Evidence: FigureGrade.Assumed })
                .Select(h => h.Id),
        ];
        if (assumed.Count > 0)
            yield return new(
                Weight.Work,
                new(
                    Assumed,
                    BlockEvidenceWords.OnlyAssumedFromBoard(
                        HowMany.Count(assumed.Count, BlockEvidenceWords.LandOrScrew, BlockEvidenceWords.LandsAndScrews),
                        Named(assumed)
                    ),
                    assumed
                )
            );
        if (lands.Exists(l => l.Evidence is not null))
        {
            var grades = lands.GroupBy(l => l.Evidence).OrderByDescending(g => g.Key ?? FigureGrade.Proved);
            var told = string.Join(", ", grades.Select(g => $"{g.Count()} {Word(g.Key)}"));
            yield return new(Weight.Note, new("block-evidence", $"Lands: {told}.", []));
        }
        List<BlockHole> springs = [.. block.Plates.SelectMany(p => p.Holes).Where(h => h.SpringUnknown)];
        if (UnknownSprings.Describe(springs) is { } unknown)
            yield return new(
                Weight.Note,
                new(
                    "springs-unknown",
                    BlockEvidenceWords.WhatPressesDieIsUnknown(unknown),
                    [.. springs.Select(h => h.Id)]
                )
            );
        if (First(laid) is var (land, parts))
            yield return new(
                Weight.Note,
                new(
                    "measure-next",
                    BlockEvidenceWords.MeasureFirstOnStep(land.Id, HowMany.Count(parts, "part rests", "parts rest"))
                        + (Message)$"{Word(land.Evidence)} to ±{land.StepTolMm:0.00} mm.",
                    [land.Id]
                )
            );
    }

    /// <summary>Of the lands less sure than measured the one whose uncertainty bears on most parts.</summary>
    private static (Land Land, int Parts)? First(Laid laid)
    {
        var open = laid
            .Pairings.Where(p =>
                p.Share >= LandPairing.MinShare
                && p.Land is { Through: Through.Pad, Evidence: FigureGrade.Assumed or FigureGrade.Manual }
            )
            .GroupBy(p => p.Land)
            .Select(g => (Land: g.Key, Parts: g.Select(p => p.Part.Id).Distinct().Count()))
            .ToList();
        return open.Count == 0
            ? null
            : open.OrderBy(o => o.Land.Evidence).ThenByDescending(o => o.Land.StepTolMm * o.Parts).First();
    }

    private static string Word(FigureGrade? grade) =>
        grade switch
        {
            FigureGrade.Assumed => "assumed",
            FigureGrade.Manual => "by the manual",
            FigureGrade.Measured => "measured",
            FigureGrade.Proved => "proved",
            _ => "as stated",
        };

    private static string Named(List<string> ids) =>
        ids.Count <= MaxNamed + 1
            ? string.Join(", ", ids)
            : $"{string.Join(", ", ids.Take(MaxNamed))} and {ids.Count - MaxNamed} more";
}
