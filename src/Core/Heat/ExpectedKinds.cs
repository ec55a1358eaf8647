using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Words.Heat;

namespace FaithfulBracket.Core.Heat;

/// <summary>The hottest of one kind of part.</summary>
/// <param name="Name">The kind as it is called, its number before it where there are several.</param>
/// <param name="MarginK">To its limit; null where none is stated.</param>
/// <param name="RangeK">Half the 95 % range of its temperature, K.</param>
public sealed record ExpectedKind(
    PartKind Kind,
    string Name,
    string Hottest,
    double C,
    double? LimitC,
    double? MarginK,
    double RangeK
)
{
    /// <summary>It would not go on running there.</summary>
    public bool PastLimit => MarginK < 0;
}

/// <summary>What is expected, told by kind: nobody reads twenty power stages one by one.</summary>
public static class ExpectedKinds
{
    public static IReadOnlyList<ExpectedKind> Compute(Board board, ExpectResult expected) =>
        [
            .. expected
                .Parts.Where(p => p.Watts > 0)
                .GroupBy(p => board.FindPart(p.Part)?.Kind ?? PartKind.Other)
                .OrderBy(g => g.Key)
                .Select(g =>
                {
                    // nearest to its limit first, then the warmest
                    var worst = g.OrderBy(p => p.LimitC is { } l ? l - p.C : double.PositiveInfinity)
                        .ThenByDescending(p => p.C)
                        .First();
                    var name = PartNames.Describe(g.Key);
                    // the limit is the silicon's, and that is warmer than its lid by bond and lid
                    if (g.Key == PartKind.Lid)
                        return new ExpectedKind(
                            g.Key,
                            ExpectedKindsWords.TopOfLidSiliconIsWarmer,
                            worst.Part,
                            worst.C,
                            null,
                            null,
                            worst.RangeK
                        );
                    return new ExpectedKind(
                        g.Key,
                        g.Count() > 1 ? $"{name}, hottest of {g.Count()}" : name,
                        worst.Part,
                        worst.C,
                        worst.LimitC,
                        worst.LimitC - worst.C,
                        worst.RangeK
                    );
                }),
        ];
}
