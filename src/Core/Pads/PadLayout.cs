using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Pads.Seating;

namespace FaithfulBracket.Core.Pads;

/// <summary>A pad with its letter, place and size as cut.</summary>
public sealed record PlacedPad(
    string Letter,
    string Part,
    string Land,
    PartKind Kind,
    Face Face,
    double ThicknessMm,
    string Material,
    double WidthMm,
    double DepthMm,
    PadFit? Fit,
    bool Chosen,
    bool OnBlock
)
{
    /// <summary>Key of the pair whose land presses it.</summary>
    public required string Pair { get; init; }

    /// <summary>Key of the board it lies on.</summary>
    public required string Board { get; init; }

    /// <summary>Parts whose pads change together with this one, itself among them.</summary>
    public IReadOnlyList<string> Like { get; init; } = [];

    /// <summary>As the seating calculates it.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public LaidPad Laid => new(Part, ThicknessMm, Material);
}

/// <summary>
/// Which pad goes where: the installer's choice, else what the gaps ask for; lettered part kind by part kind, from
/// the top left.
/// </summary>
public static class PadLayout
{
    /// <param name="choices">Pads chosen instead of the calculated ones, by part.</param>
    /// <param name="pair">Key of the pair.</param>
    /// <param name="on">Key of the board.</param>
    /// <param name="before">Letters given already: they are unique in the order.</param>
    public static IReadOnlyList<PlacedPad> Compute(
        LaidBlock laid,
        GapsResult gaps,
        IReadOnlyDictionary<string, LaidPad> choices,
        IReadOnlyDictionary<string, Materials.PadMaterial> materials,
        string pair = Orders.Pair.FirstKey,
        string on = "A",
        int before = 0
    )
    {
        var (board, block, _) = laid;
        var pads = new List<PlacedPad>();
        var tacky = block.Kit is { Pads.Count: > 0 } kit ? kit.Pads[0].Tacky : null;
        foreach (var gap in gaps.Pairs.Where(g => g.Through == Through.Pad))
        {
            var part = board.FindPart(gap.Part)!;
            var fit = gap.Pad;
            var chosen = choices.TryGetValue(gap.Part, out var choice);
            if (chosen && materials.TryGetValue(choice!.Material, out var material))
                fit = PadSquash.In(gap.MinMm, gap.MaxMm, choice.ThicknessMm, material, "chosen");
            if (fit is null)
                continue;
            pads.Add(
                new(
                    "",
                    part.Id,
                    gap.Land,
                    part.Kind,
                    part.Face,
                    fit.ThicknessMm,
                    fit.Material,
                    part.WidthMm,
                    part.DepthMm,
                    fit,
                    chosen,
                    tacky == "block"
                )
                {
                    Pair = pair,
                    Board = on,
                }
            );
        }
        var ordered = pads.OrderBy(p => p.Kind)
            .ThenBy(p => Row(board, p))
            .ThenBy(p => board.FindPart(p.Part)!.X)
            .ToList();
        return
        [
            .. ordered.Select(
                (p, i) => p with { Letter = Letter(before + i), Like = LikePads.Places(ordered, p.Part) }
            ),
        ];
    }

    /// <summary>A to Z, then A2 to Z2 and on.</summary>
    internal static string Letter(int i) => i < 26 ? $"{(char)('A' + i)}" : $"{(char)('A' + i % 26)}{i / 26 + 1}";

    /// <summary>Rows of about 8 mm, from the top.</summary>
    private static double Row(Board board, PlacedPad p) => -Math.Round(board.FindPart(p.Part)!.Y / 8);
}
