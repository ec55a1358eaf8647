using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Pads.Cutting;

/// <summary>What becomes of a cut sheet.</summary>
/// <param name="Stock">The sheet it was cut from as it is left in the drawer; null where it came out of a kit.</param>
/// <param name="StockGone">Whether nothing of it is left to keep a place for.</param>
/// <param name="Offcuts">Rests that are worth keeping.</param>
/// <param name="UsedUp">Id of the stock that ran out; null where some is left.</param>
public sealed record PutAwayResult(PadStock? Stock, bool StockGone, IReadOnlyList<PadStock> Offcuts, string? UsedUp);

/// <summary>What becomes of a sheet's rests.</summary>
public static class Leftovers
{
    /// <summary>Narrower rests are thrown away, mm.</summary>
    public const double MinSideMm = 8;

    public static IReadOnlyList<Leftover> Usable(CutSheet sheet) =>
        [.. sheet.Leftovers.Where(l => l.WidthMm >= MinSideMm && l.DepthMm >= MinSideMm)];

    /// <summary>Takes a cut sheet out of the stock and names its useful rests.</summary>
    /// <param name="stock">Pads in the drawer.</param>
    /// <param name="mark">Goes into the names of the rests, so that they are told apart.</param>
    public static PutAwayResult PutAway(CutSheet sheet, IReadOnlyList<PadStock> stock, string mark)
    {
        var own = stock.FirstOrDefault(s => s.Id == sheet.StockId);
        var left = own is null ? null : own with { Count = Math.Max(0, own.Count - 1) };
        var material = own?.Material ?? sheet.Material ?? "";
        var names = stock.Select(s => s.Id).ToHashSet();
        var offcuts = new List<PadStock>();
        foreach (var rest in Usable(sheet))
        {
            var name = Name(material, sheet.ThicknessMm ?? 0, mark, names);
            offcuts.Add(
                new(
                    name,
                    material,
                    sheet.ThicknessMm ?? 0,
                    Math.Round(rest.WidthMm, 1),
                    Math.Round(rest.DepthMm, 1),
                    1,
                    true
                )
            );
        }
        // an offcut that is cut up is gone; an empty place for whole sheets stays, to be filled again
        return new(left, left is { Count: 0, Offcut: true }, offcuts, left is { Count: 0 } ? left.Id : null);
    }

    private static string Name(string material, double thicknessMm, string mark, HashSet<string> taken)
    {
        for (var n = 0; ; n++)
        {
            var name = FormattableString.Invariant(
                $"{material}-{thicknessMm:0.0#}-{mark}{(char)('a' + n % 26)}{(n < 26 ? "" : n / 26)}"
            );
            if (taken.Add(name))
                return name;
        }
    }
}
