namespace FaithfulBracket.Core.Sockets;

/// <summary>Washers under springs: what can be bought of what the heights ask.</summary>
public static class Shims
{
    /// <summary>Thicknesses that are sold, mm.</summary>
    public static readonly IReadOnlyList<double> Sizes = [0.3, 0.5, 0.8, 1];

    /// <summary>Less than this asked for makes no difference, mm.</summary>
    public const double MinMm = 0.1;

    /// <summary>The one or two washers that come closest from below; none where the thinnest is too thick.</summary>
    /// <param name="askedMm">What would give back the whole load, 0 or more.</param>
    public static IReadOnlyList<double> Under(double askedMm)
    {
        IReadOnlyList<double> best = [];
        if (askedMm < MinMm)
            return best;
        // one rather than two of the same sum
        foreach (
            var stack in Sizes
                .Select(s => new[] { s })
                .Concat(Sizes.SelectMany(a => Sizes.Where(b => b >= a).Select(b => new[] { a, b })))
        )
            if (stack.Sum() <= askedMm + HeightChain.EqualMm && stack.Sum() > best.Sum() + HeightChain.EqualMm)
                best = stack;
        return best;
    }

    /// <summary>Such as "0.5 mm" or "0.5 mm and 0.3 mm".</summary>
    public static string InWords(IReadOnlyList<double> shims) =>
        shims is [var a, var b] && a == b
            ? FormattableString.Invariant($"2 × {a:0.0} mm")
            : string.Join(" and ", shims.OrderDescending().Select(s => FormattableString.Invariant($"{s:0.0} mm")));
}
