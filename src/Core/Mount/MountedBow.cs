using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Pads.Seating;

namespace FaithfulBracket.Core.Mount;

/// <param name="Without">Without the back plate; null where the model says nothing, and <paramref name="Text"/> says why.</param>
public sealed record MountedBowResult(BowResult? Without, BowResult? With, string Text, Validity Validity)
{
    /// <summary>Strain under the parts without the back plate, in words; null where no bow is told.</summary>
    public string? WithoutStrain { get; init; }

    /// <summary>The same with it.</summary>
    public string? WithStrain { get; init; }

    /// <summary>As it will be mounted, the joints are strained past what they take.</summary>
    public bool PastLimit { get; init; }
}

/// <summary>How the mounted board bows: held at its screws, pressed by die and pads; with and without the back plate.</summary>
public static class MountedBow
{
    /// <summary>Bending of thin plates holds for deflections of the thickness's order; free edges forgive twice that.</summary>
    private const double MostThicknesses = 2;
    private const double WasherMm = 5;
    private const int Elements = 1200;

    private static double Rim(Part p) => p.Kind is PartKind.Die or PartKind.Lid ? 2 * BoardStiffness.PackageRimMm : 0;

    public static MountedBowResult Of(
        LaidBlock laid,
        SeatingResult seated,
        BoardStiffness? stiffness = null,
        CancellationToken cancel = default
    )
    {
        stiffness ??= new();
        var (board, block, placement) = laid;
        var loads = seated
            .Dies.Select(d => (d.Part, d.LoadN))
            .Concat(seated.Pads.Select(p => (p.Part, p.LoadN)))
            .Where(l => l.LoadN > 0)
            .Select(l => board.FindPart(l.Part))
            .Zip(
                seated.Dies.Select(d => d.LoadN).Concat(seated.Pads.Select(p => p.LoadN)).Where(n => n > 0),
                (p, n) => new BowLoad(p!.X, p.Y, p.WidthMm, p.DepthMm, p.Face == Face.Back ? n : -n)
            )
            .ToList();
        var supports = block
            .Plates.SelectMany(p => p.Holes)
            .Where(h => seated.Screws.Any(s => s.Hole == h.Id && s.LoadN > 0.1))
            .Select(h => placement.Apply(h.At))
            .Where(p => board.Outline.Contains(p))
            .Select(p => new BowSupport(p.X, p.Y, SupportKind.Pinned, WasherMm))
            .ToList();
        var dies = board.Parts.Where(p => p.Face == Face.Front && p.Kind is PartKind.Die or PartKind.Lid).ToList();
        // what lies in a socket is held there and stiffens nothing; the plate behind it does
        List<(Polygon, double)> stiff = board.Backing is { } plate
            ? [(plate.Area, plate.Factor)]
            :
            [
                .. dies.Select(d => (d.Top(), BoardStiffness.DieFactor)),
                .. dies.Select(d =>
                    (
                        Polygon.Rectangle(
                            d.At,
                            d.WidthMm + 2 * BoardStiffness.PackageRimMm,
                            d.DepthMm + 2 * BoardStiffness.PackageRimMm,
                            d.RotationDeg
                        ),
                        stiffness.PackageFactor
                    )
                ),
            ];
        var problem = new BowProblem(board.Outline, board.ThicknessMm, stiffness.EMPa, stiffness.Nu)
        {
            Supports = supports,
            Loads = loads,
            Elements = Elements,
            Stiffeners = stiff,
            // beside a screw the laminate strains most, but no joints lie there
            Watched =
            [
                .. board
                    .Parts.Where(p => p.Cool != Cooling.No && p.Kind is not (PartKind.Inductor or PartKind.Capacitor))
                    // what lies in a socket is not soldered to the board
                    .Where(p => board.Backing is null || p.Kind is not (PartKind.Die or PartKind.Lid))
                    .Select(p => Polygon.Rectangle(p.At, p.WidthMm + Rim(p), p.DepthMm + Rim(p), p.RotationDeg)),
            ],
        };
        var held = BowHold.Of(problem);
        if (held == Validity.Outside)
            return new(
                null,
                null,
                "The screws that carry load lie in a line, so they do not hold the board against turning "
                    + "about it: its bow can not be told. Support its far edge while you turn them.",
                held
            );
        var bare = BoardBow.Solve(problem, cancel);
        BowResult? backed = null;
        if (
            block.BackPlate is { StiffnessFactor: > 1 } back
            && ConvexHull.Of([
                .. block
                    .Plates.SelectMany(p => p.Holes)
                    .Where(h => back.UsesHoles.Contains(h.Id) || h.Role == HoleRole.Retention)
                    .Select(h => placement.Apply(h.At)),
            ])
                is { } hull
        )
            backed = BoardBow.Solve(problem with { Stiffeners = [.. stiff, (hull, back.StiffnessFactor)] }, cancel);
        var worst = backed ?? bare;
        if (Math.Abs(worst.PeakMm) > MostThicknesses * board.ThicknessMm)
            return new(
                null,
                null,
                FormattableString.Invariant(
                    $"The board would bow more than {MostThicknesses:0} times its thickness: further than this model reaches. Use the back plate, or support the board while you turn the screws."
                ),
                Validity.Outside
            );
        var strain = UnderParts(worst);
        var told = JointStrain.InWords(strain);
        var verdict = JointStrain.Past(strain)
            ? FormattableString.Invariant(
                $"past the {JointStrain.LimitMicro:0} that joints take: a stiffer back plate or thinner pads ease it"
            )
            : FormattableString.Invariant($"under the {JointStrain.LimitMicro:0} that joints take");
        var weak =
            held == Validity.Weak
                ? " Its screws lie nearly in a line and hold it weakly: take this as a rough figure."
                : "";
        return new(
            bare,
            backed,
            FormattableString.Invariant($"The board bows {Math.Abs(worst.PeakMm):0.00} mm; ")
                + $"under the parts the strain reaches {told}, {verdict}.{weak}",
            held
        )
        {
            WithoutStrain = JointStrain.InWords(UnderParts(bare)),
            WithStrain = backed is null ? null : JointStrain.InWords(UnderParts(backed)),
            PastLimit = JointStrain.Past(strain),
        };
    }

    private static double UnderParts(BowResult r) => r.WatchedStrainMicro ?? r.StrainMicro;
}
