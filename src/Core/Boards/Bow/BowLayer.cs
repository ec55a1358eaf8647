using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Boards.Bow;

/// <summary>Something soldered, glued or screwed flat onto the board, which bends with it.</summary>
/// <param name="EMPa">Young's modulus, MPa.</param>
/// <param name="Nu">Poisson's ratio.</param>
/// <param name="Joined">0: lies on it and slides; 1: glued all over, one plate with it.</param>
public sealed record BowLayer(Polygon Outline, double ThicknessMm, double EMPa, double Nu, double Joined)
{
    /// <summary>Solder joints end at its rim, and the strain beside it is judged.</summary>
    public bool Soldered { get; init; } = true;

    /// <summary>Poisson's ratio of a package's substrate.</summary>
    public const double UsualNu = 0.2;

    /// <summary>
    /// Flexural rigidity D = E·t³/(12(1 − ν²)) of a layer alone, N·mm (Timoshenko and Woinowsky-Krieger, chapter 1).
    /// </summary>
    public static double Rigidity(double eMPa, double nu, double mm) => eMPa * mm * mm * mm / (12 * (1 - nu * nu));

    /// <summary>
    /// What the layer adds to the board's rigidity: its own, and the share of the sandwich's that the joint carries,
    /// A₁A₂/(A₁ + A₂)·((t₁ + t₂)/2)² with A = E·t/(1 − ν²).
    /// </summary>
    /// <param name="boardMm">Thickness of the board, mm.</param>
    public double Adds(double boardEMPa, double boardNu, double boardMm)
    {
        double a1 = boardEMPa * boardMm / (1 - boardNu * boardNu),
            a2 = EMPa * ThicknessMm / (1 - Nu * Nu),
            arm = (boardMm + ThicknessMm) / 2;
        return Rigidity(EMPa, Nu, ThicknessMm) + Joined * a1 * a2 / (a1 + a2) * arm * arm;
    }

    /// <summary>Points so far outside the outline, where the outermost joints end in the board alone.</summary>
    public IEnumerable<Point2> Rim(double outsideMm)
    {
        const double apart = 1;
        var sign = Math.Sign(Outline.SignedArea);
        for (var i = 0; i < Outline.Points.Count; i++)
        {
            Point2 a = Outline.Points[i],
                b = Outline.Points[(i + 1) % Outline.Points.Count];
            var edge = b - a;
            if (edge.Length <= 0)
                continue;
            var outward = new Point2(edge.Y, -edge.X) * (sign * outsideMm / edge.Length);
            var steps = Math.Max(2, (int)Math.Ceiling(edge.Length / apart));
            for (var k = 0; k <= steps; k++)
                if (a + edge * ((double)k / steps) + outward is var p && !Outline.Contains(p))
                    yield return p;
        }
    }
}
