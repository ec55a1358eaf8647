using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Words.Pads;

namespace FaithfulBracket.Core.Pads;

/// <summary>What a tired hand does to a pad.</summary>
public enum PadFault
{
    FilmOneSide,
    FilmBothSides,
    Missed,
    Doubled,
    ThickerByHalf,
    ThinnerByHalf,
}

/// <param name="RiseK">Of the part over its land with the fault, K; null when nothing carries its heat or it gives none.</param>
/// <param name="Seen">What the eye and the readings show.</param>
/// <param name="Felt">What the driver's hand notices.</param>
public sealed record PadFaultResult(
    PadFault Fault,
    SeatingResult Seating,
    double? RiseK,
    double? RiseBeforeK,
    IReadOnlyList<string> Seen,
    IReadOnlyList<string> Felt
);

/// <summary>One pad laid wrong and what would be seen and felt, so that it is known when it happens.</summary>
public static class PadFaults
{
    /// <summary>Protective film, a side, mm: 0.05 to 0.1.</summary>
    public const double FilmMm = 0.075;

    /// <summary>Of the film, W/(m·K).</summary>
    public const double FilmWPerMK = 0.2;
    private const double HalfMm = 0.5,
        TellingMm = 0.03,
        TellingN = 3;

    /// <exception cref="InputException">The part has no pad, or the block can't come to rest.</exception>
    public static PadFaultResult Try(StackUp stack, string part, PadFault fault)
    {
        var ((board, block, placement), pads, materials, _) = stack;
        var own =
            pads.FirstOrDefault(p => p.Part == part) ?? throw new InputException("part", $"\"{part}\" has no pad.");
        var films = fault switch
        {
            PadFault.FilmOneSide => 1,
            PadFault.FilmBothSides => 2,
            _ => 0,
        };
        var thickness = fault switch
        {
            PadFault.Doubled => 2 * own.ThicknessMm,
            PadFault.ThickerByHalf => own.ThicknessMm + HalfMm,
            PadFault.ThinnerByHalf => Math.Max(0.05, own.ThicknessMm - HalfMm),
            _ => own.ThicknessMm + films * FilmMm,
        };
        var laid =
            fault == PadFault.Missed
                ? pads.Where(p => p.Part != part).ToList()
                : [.. pads.Select(p => p.Part == part ? p with { ThicknessMm = thickness } : p)];
        var before = SeatingSolver.Solve(stack);
        var after = SeatingSolver.Solve(stack with { Pads = laid });
        var target = board.FindPart(part)!;
        var layers = fault == PadFault.Doubled ? 2 : 1;
        double? riseBefore = Rise(target, own, before, materials, 0, 1),
            rise = fault == PadFault.Missed
                ? null
                : Rise(target, own with { ThicknessMm = thickness }, after, materials, films, layers);
        return new(
            fault,
            after,
            rise,
            riseBefore,
            [.. Seen(placement.Apply(block.Plates[0].Outline).Bounds, target, fault, before, after, rise, riseBefore)],
            [.. Felt(block, placement, target, before, after)]
        );
    }

    /// <summary>Mean heat through the squashed pad and what is left on it.</summary>
    private static double? Rise(
        Part part,
        LaidPad pad,
        SeatingResult seated,
        IReadOnlyDictionary<string, PadMaterial> materials,
        int films,
        int layers
    )
    {
        if (
            part.DissipationW <= 0
            || materials[pad.Material].ConductivityWPerMK is not { } k
            || seated.Pads.FirstOrDefault(p => p.Part == part.Id) is not { Squash: > 0 } squeezed
        )
            return null;
        var left = pad.ThicknessMm * (1 - squeezed.Squash) - films * FilmMm;
        // between two layers there is another face to cross: about a tenth of a millimetre of pad
        return part.DissipationW
            * ((left + (layers - 1) * 0.1) / k + films * FilmMm / FilmWPerMK)
            * 1e-3
            / (part.Top().Area * 1e-6);
    }

    private static IEnumerable<string> Seen(
        Bounds plate,
        Part part,
        PadFault fault,
        SeatingResult before,
        SeatingResult after,
        double? rise,
        double? riseBefore
    )
    {
        if (Edge(plate, before, after) is { } edge)
            yield return edge;
        else
            yield return PadFaultsWords.EdgesLookAsEven;
        // how thick a film is depends on what presses it
        double filmBefore = before.LoadUnknown ? double.PositiveInfinity : Worst(before),
            filmAfter = Worst(after);
        if (after.Floats && !before.Floats)
            yield return PadFaultsWords.BlockFloatsFilmOverDie(filmAfter, filmBefore);
        else if (filmAfter > filmBefore * 1.15 + 2)
            yield return PadFaultsWords.FilmOverDieThickens(filmAfter, filmBefore);
        var squash = after.Pads.FirstOrDefault(p => p.Part == part.Id)?.Squash;
        if (fault == PadFault.Missed || squash is <= 0)
            yield return part.DissipationW > 0
                ? PadFaultsWords.TouchesNothingItClimbsToLimit(part.Id)
                : $"{part.Id} touches nothing.";
        else if (rise is { } r && riseBefore is { } b)
            yield return r > b + 1
                ? PadFaultsWords.StandsOverLandInstead(part.Id, r, b, r - b)
                : PadFaultsWords.StandsOverLandAboutAsBefore(part.Id, r);
    }

    private static IEnumerable<string> Felt(
        Block block,
        Placement placement,
        Part part,
        SeatingResult before,
        SeatingResult after
    )
    {
        if (before.LoadUnknown)
        {
            yield return PadFaultsWords.HowScrewsFeel(UnknownSprings.NotStated);
            yield break;
        }
        double dieBefore = before.Dies.Sum(d => d.LoadN),
            dieAfter = after.Dies.Sum(d => d.LoadN);
        if (dieAfter < dieBefore - TellingN)
            yield return PadFaultsWords.DieKeepsInstead(dieAfter, dieBefore);
        var holes = block.Plates.SelectMany(p => p.Holes).Where(h => after.Screws.Any(s => s.Hole == h.Id)).ToList();
        if (holes.Count == 0)
            yield break;
        var near = holes.MinBy(h => (placement.Apply(h.At) - part.At).Length)!;
        double was = before.Screws.First(s => s.Hole == near.Id).LoadN,
            now = after.Screws.First(s => s.Hole == near.Id).LoadN;
        if (now > was + TellingN)
            yield return PadFaultsWords.ScrewBesideItGripsEarly(near.Id, now, was);
        else if (now < was - TellingN)
            yield return PadFaultsWords.ScrewBesideItStaysLighterInstead(near.Id, now, was);
        else
            yield return PadFaultsWords.ScrewsFeelAsAlways;
    }

    private static double Worst(SeatingResult s) => s.Dies.SelectMany(d => d.BondLinesUm).DefaultIfEmpty(0).Max();

    /// <summary>Which edge of the plate opens most against the one across.</summary>
    private static string? Edge(Bounds b, SeatingResult before, SeatingResult after)
    {
        double Height(SeatingResult s, double x, double y) =>
            s.PlaneMm + Math.Tan(-s.TiltDeg[1] * Math.PI / 180) * x + Math.Tan(s.TiltDeg[0] * Math.PI / 180) * y;
        Point2 middle = new((b.MinX + b.MaxX) / 2, (b.MinY + b.MaxY) / 2);
        (string Name, Point2 At, Point2 Across)[] edges =
        [
            ("left", new(b.MinX, middle.Y), new(b.MaxX, middle.Y)),
            ("right", new(b.MaxX, middle.Y), new(b.MinX, middle.Y)),
            ("lower", new(middle.X, b.MinY), new(middle.X, b.MaxY)),
            ("upper", new(middle.X, b.MaxY), new(middle.X, b.MinY)),
        ];
        double Opens((string, Point2 At, Point2) e) => Height(after, e.At.X, e.At.Y) - Height(before, e.At.X, e.At.Y);
        var worst = edges.MaxBy(e => Opens(e))!;
        var opens = Opens(worst);
        var closes = Height(after, worst.Across.X, worst.Across.Y) - Height(before, worst.Across.X, worst.Across.Y);
        return opens < TellingMm ? null
            : opens - closes < TellingMm ? PadFaultsWords.WholeBlockStandsHigher(opens)
            : PadFaultsWords.EdgeStandsHigherThanItShould(
                worst.Name,
                opens,
                closes < -0.01 ? FormattableString.Invariant($"{-closes:0.00} mm lower") : "hardly changes"
            );
    }
}
