using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Identify;

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
    IReadOnlyList<string> Why,
    IReadOnlyList<AskedHeight> Heights,
    AskedTwin? Twin
)
{
    private const int MostHeights = 12,
        MostWhy = 5;

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
            [.. fit.Reasons.Where(r => r.Weight > Weight.Note).Take(MostWhy).Select(r => r.Text)],
            [
                .. fit
                    .Margins.OrderBy(m => m.MarginMm)
                    .Select(m => (Part: board.FindPart(m.Part)!, Margin: (double?)m.MarginMm))
                    .Concat(board.Parts.Where(p => p.IsUnknown).Select(p => (Part: p, Margin: (double?)null)))
                    .DistinctBy(x => x.Part.Id)
                    .Take(MostHeights)
                    .Select(x => new AskedHeight(
                        x.Part.Id,
                        PartNames.Of(x.Part.Kind),
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
        var mine = BoardLabel.HasCode(board) ? BoardLabel.Of(board) : $"{board.Maker} {board.Model}";
        if (fit.Reasons.FirstOrDefault(r => r.Code == "screw-misses" || r.Code == "hole-missing") is { } screw)
            return $"Is {theirs} made for the hole pattern of {mine}? Here {Lower(screw.Text)}";
        if (fit.Clashes.Count > 0)
        {
            var (part, over) = (board.FindPart(fit.Clashes[0].Part)!, -fit.Clashes[0].MarginMm);
            return $"How deep is {theirs} over {part.Id}? "
                + FormattableString.Invariant(
                    $"On {mine} it stands {part.HeightMm:0.00} mm high, {over:0.00} more than there is room for."
                );
        }
        if (fit.Reasons.FirstOrDefault(r => r.Code == BlockEvidence.Assumed) is { } assumed)
            return $"What are the steps of {theirs}'s lands against its die land? Nobody has measured "
                + $"{HowMany.Of(assumed.Refs.Count, "of its lands and screws", "of its lands and screws")}.";
        if (
            fit.Reasons.FirstOrDefault(r => r.Code is FitReasons.UnknownParts or FitReasons.AssumedParts) is { } unknown
        )
            return $"How high do {string.Join(", ", unknown.Refs.Take(6))} stand on {mine}?";
        if (next.Count > 0 && next[0].What == "height")
            return $"How high does {next[0].Id} stand on {mine}, to a tenth of a millimetre?";
        if (fit.Verdict == Verdict.Unproven && next.Count > 0)
            return $"Where do the screw holes of {mine} lie? Ours were measured, not drawn: {theirs} seats with a chance of "
                + $"{Fit.Percent(fit.ChanceOfSeating)} %, and hole {next[0].Id} would settle most.";
        if (fit.Tight.Count > 0)
            return FormattableString.Invariant(
                $"Does {theirs} clear {fit.Tight[0].Part}? There are {fit.Tight[0].MarginMm:0.00} mm between them on {mine}."
            );
        if (twin is { Declared: true, Differences: [var first, ..] })
            return $"{twin.Name} is stated to fit. On {mine} one thing differs: {Lower(first.Text)} Does it matter?";
        return $"Is {theirs} made for {mine}? By its drawing it "
            + $"{(fit.Verdict <= Verdict.SeatsWithWork ? "seats" : "does not")}, and no statement says so.";
    }

    private static string Lower(string text) => char.ToLowerInvariant(text[0]) + text[1..];
}
