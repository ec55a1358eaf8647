using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Identify;
using FaithfulBracket.Core.Words.Choosing;

namespace FaithfulBracket.Core.Choosing;

/// <summary>A height that the fit rests on. mm.</summary>
/// <param name="MarginMm">Room that is left above it; null under a land, where a pad fills it.</param>
public sealed record AskedHeight(string Part, string Kind, double? HeightMm, double TolMm, double? MarginMm);

/// <summary>The board most like this one that the shop knows something of, and what differs.</summary>
/// <param name="Declared">Whether the maker states that the block fits it.</param>
public sealed record AskedTwin(string BoardId, string Name, bool Declared, IReadOnlyList<BoardDifference> Differences);

/// <summary>What to ask a block's or a board's maker where a fit stays unproven.</summary>
/// <param name="Question">The one question that decides.</param>
/// <param name="Why">Reasons why it is open, the weightiest first.</param>
public sealed record MakerQuestion(
    string Question,
    Verdict Verdict,
    IReadOnlyList<Message> Why,
    IReadOnlyList<AskedHeight> Heights,
    AskedTwin? Twin
)
{
    private const int MaxHeights = 12,
        MaxWhy = 5;

    public static MakerQuestion For(
        Board board,
        Block block,
        FitResult fit,
        IReadOnlyList<Measure> next,
        AskedTwin? twin
    ) =>
        new(
            Decisive(board, block, fit, next, twin),
            fit.Verdict,
            [.. fit.Reasons.Where(r => r.Weight > Weight.Note).Take(MaxWhy).Select(r => r.Text)],
            [
                .. fit
                    .Margins.OrderBy(m => m.MarginMm)
                    .Select(m => (Part: board.FindPart(m.Part)!, Margin: (double?)m.MarginMm))
                    .Concat(board.Parts.Where(p => p.IsUnknown).Select(p => (Part: p, Margin: (double?)null)))
                    .DistinctBy(x => x.Part.Id)
                    .Take(MaxHeights)
                    .Select(x => new AskedHeight(
                        x.Part.Id,
                        PartNames.Describe(x.Part.Kind),
                        x.Part.StatedHeightMm,
                        x.Part.HeightTolMm,
                        x.Margin
                    )),
            ],
            twin
        );

    private static string Decisive(
        Board board,
        Block block,
        FitResult fit,
        IReadOnlyList<Measure> next,
        AskedTwin? twin
    )
    {
        var theirs = $"{block.Maker} {block.Model}";
        var mine = BoardLabel.HasCode(board) ? BoardLabel.Format(board) : $"{board.Maker} {board.Model}";
        if (fit.Reasons.FirstOrDefault(r => r.Code == "screw-misses" || r.Code == "hole-missing") is { } screw)
            return MakerQuestionWords.IsMadeForHolePattern(theirs, mine, Lower(screw.Text));
        if (fit.Clashes.Count > 0)
        {
            var (part, over) = (board.FindPart(fit.Clashes[0].Part)!, -fit.Clashes[0].MarginMm);
            return MakerQuestionWords.HowDeepIs(theirs, part.Id)
                + MakerQuestionWords.OnItStandsHighMore(mine, part.HeightMm, over);
        }
        if (fit.Reasons.FirstOrDefault(r => r.Code == BlockEvidence.Assumed) is { } assumed)
            return MakerQuestionWords.WhatAreStepsOfSLands(
                theirs,
                HowMany.Count(
                    assumed.Refs.Count,
                    MakerQuestionWords.OfLandsAndScrews,
                    MakerQuestionWords.OfLandsAndScrews
                )
            );
        if (
            fit.Reasons.FirstOrDefault(r => r.Code is FitReasons.UnknownParts or FitReasons.AssumedParts) is { } unknown
        )
            return MakerQuestionWords.HowHighDoStand(string.Join(", ", unknown.Refs.Take(6)), mine);
        if (next.Count > 0 && next[0].What == "height")
            return MakerQuestionWords.HowHighDoesStand(next[0].Id, mine);
        if (fit.Verdict == Verdict.Unproven && next.Count > 0)
            return MakerQuestionWords.WhereDoScrewHolesOfLie(
                mine,
                theirs,
                Fit.Percent(fit.ChanceOfSeating),
                next[0].Id
            );
        if (fit.Tight.Count > 0)
            return MakerQuestionWords.DoesClearThereAreBetweenThem(
                theirs,
                fit.Tight[0].Part,
                fit.Tight[0].MarginMm,
                mine
            );
        if (twin is { Declared: true, Differences: [var first, ..] })
            return MakerQuestionWords.IsStatedToFit(twin.Name, mine, Lower(first.Text));
        return MakerQuestionWords.IsMadeFor(theirs, mine, fit.Verdict <= Verdict.SeatsWithWork ? "seats" : "does not");
    }

    private static string Lower(string text) => char.ToLowerInvariant(text[0]) + text[1..];
}
