using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
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
);

/// <summary>Which pad goes where: the installer's choice, else what the gaps ask for; lettered part kind by part kind, from the top left.</summary>
public static class PadLayout
{
    public static IReadOnlyList<PlacedPad> Of(
        Board board,
        Block block,
        GapsResult gaps,
        IReadOnlyDictionary<string, LaidPad> choices,
        IReadOnlyDictionary<string, Materials.PadMaterial> materials
    )
    {
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
            );
        }
        var ordered = pads.OrderBy(p => p.Kind)
            .ThenBy(p => Row(board, p))
            .ThenBy(p => board.FindPart(p.Part)!.X)
            .ToList();
        return [.. ordered.Select((p, i) => p with { Letter = Letter(i) })];
    }

    /// <summary>A to Z, then A2 to Z2 and on.</summary>
    private static string Letter(int i) => i < 26 ? $"{(char)('A' + i)}" : $"{(char)('A' + i % 26)}{i / 26 + 1}";

    /// <summary>Rows of about 8 mm, from the top.</summary>
    private static double Row(Board board, PlacedPad p) => -Math.Round(board.FindPart(p.Part)!.Y / 8);
}
