using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Words.Pads;

namespace FaithfulBracket.Core.Pads;

/// <summary>Another pad for the same places and what it does.</summary>
/// <param name="WorstFilmUm">Thickest film at a die's corner, µm.</param>
/// <param name="DieLoadN">Load the dies keep.</param>
/// <param name="PartRiseK">Of the part over its land, by the heat it gives through the squashed pad; null when
/// conductivity is unknown.</param>
/// <param name="Squash">At this place.</param>
public sealed record Alternative(
    double ThicknessMm,
    string Material,
    bool Floats,
    double WorstFilmUm,
    double DieLoadN,
    double Squash,
    double? PartRiseK,
    bool TooMuch,
    Message Text
)
{
    /// <summary>Whether it would be wrong here: it floats the block, is squashed too far, or does not touch.</summary>
    public bool Wrong => Floats || TooMuch || Squash <= 0;
}

/// <summary>
/// What may be used instead: every pad at hand tried at the same places, ranked by die contact first and the part's
/// temperature second.
/// </summary>
public static class Alternatives
{
    /// <param name="parts">Places that change together.</param>
    /// <exception cref="InputException">A place has no pad.</exception>
    public static IReadOnlyList<Alternative> For(
        StackUp stack,
        IReadOnlyList<string> parts,
        IReadOnlyList<StockedPad> atHand,
        double maxBondLineUm = SeatingSolver.DefaultMaxBondLineUm
    )
    {
        var ((board, _, _), pads, materials, _) = stack;
        if (parts.Count == 0 || parts.Any(p => !pads.Any(x => x.Part == p)))
            throw new InputException("parts", AlternativesWords.NamePartsThatHavePad);
        var covered = Gaps.Compute(stack.Laid, materials).Pairs.First(g => g.Part == parts[0]).PadAreaMm2;
        var list = new List<Alternative>();
        foreach (var option in atHand.Distinct().Where(o => materials.ContainsKey(o.Material)))
        {
            var laid = pads.Select(p =>
                    parts.Contains(p.Part) ? p with { ThicknessMm = option.ThicknessMm, Material = option.Material } : p
                )
                .ToList();
            SeatingResult seated;
            try
            {
                seated = SeatingSolver.Solve(stack with { Pads = laid }, maxBondLineUm);
            }
            catch (InputException)
            {
                continue;
            }
            list.Add(Describe(board, seated, parts[0], option, materials[option.Material], covered, maxBondLineUm));
        }
        return
        [
            .. list.OrderBy(a => a.Floats)
                .ThenBy(a => a.TooMuch)
                .ThenBy(a => a.Squash <= 0)
                .ThenBy(a => a.PartRiseK ?? double.MaxValue)
                .ThenBy(a => a.WorstFilmUm),
        ];
    }

    private static Alternative Describe(
        Board board,
        SeatingResult seated,
        string place,
        StockedPad option,
        PadMaterial material,
        double coveredMm2,
        double limitUm
    )
    {
        var film = seated.Dies.SelectMany(d => d.BondLinesUm).DefaultIfEmpty(0).Max();
        var pad = seated.Pads.First(p => p.Part == place);
        var part = board.FindPart(place)!;
        var rise =
            part.DissipationW > 0 && pad.Squash > 0
                ? part.DissipationW * PadWay.KPerW(material, option.ThicknessMm * (1 - pad.Squash), coveredMm2)
                : null;
        var over =
            !seated.LoadUnknown && seated.Dies.Any(d => d.MaxLoadN is { } max && d.LoadN > max)
            || pad.Squash > material.SquashMax;
        var text =
            seated.Floats ? AlternativesWords.FloatsFilmUpToAllowed(film, limitUm)
            : pad.Squash <= 0 ? (Message)$"does not touch"
            : pad.Squash > material.SquashMax
                ? AlternativesWords.SquashedPastItTakes(pad.Squash * 100, material.SquashMax * 100)
            : (Message)
                $"{(seated.LoadUnknown ? "" : FormattableString.Invariant($"film up to {film:0} µm, "))}squash {pad.Squash * 100:0} %{(rise is { } r ? FormattableString.Invariant($", {place} {r:0.0} K over its land") : "")}";
        return new(
            option.ThicknessMm,
            option.Material,
            seated.Floats,
            film,
            seated.Dies.Sum(d => d.LoadN),
            pad.Squash,
            rise,
            over,
            text
        );
    }
}
