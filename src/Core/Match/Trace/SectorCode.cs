namespace FaithfulBracket.Core.Match.Trace;

/// <summary>
/// The code in the eight sectors of a mark, whatever its turn: read at the phase that splits dark from light most
/// cleanly.
/// </summary>
internal static class SectorCode
{
    public const int Sectors = 8;

    private const int Samples = 96,
        InSector = Samples / Sectors;

    /// <summary>The edges of a sector blur into the next.</summary>
    private const int Blurred = 2;

    /// <summary>Of the whole that the sectors have to be clearly dark or light.</summary>
    private const double Clean = 0.75;

    /// <summary>Where sectors are read, in shares of the ring.</summary>
    private static readonly double[] Radii = [0.47, 0.55, 0.62];

    /// <param name="at">How light it is at a share of the ring's radius and an angle; the picture's v runs down, so that angles are
    /// taken backwards.</param>
    /// <param name="threshold">What is darker counts as dark.</param>
    /// <returns>Null where the sectors are not told apart.</returns>
    public static byte? Read(Func<double, double, double> at, double threshold)
    {
        var dark = new double[Samples];
        for (var k = 0; k < Samples; k++)
            dark[k] = Radii.Average(r => at(r, -k * 2 * Math.PI / Samples) < threshold ? 1.0 : 0);
        byte best = 0;
        double cleanest = 0;
        for (var phase = 0; phase < InSector; phase++)
        {
            double clean = 0;
            byte code = 0;
            for (var s = 0; s < Sectors; s++)
            {
                var share = Enumerable
                    .Range(phase + s * InSector + Blurred, InSector - 2 * Blurred)
                    .Average(k => dark[k % Samples]);
                clean += Math.Abs(share - 0.5) / (Sectors / 2);
                if (share > 0.5)
                    code |= (byte)(1 << s);
            }
            if (clean > cleanest)
                (cleanest, best) = (clean, code);
        }
        return cleanest > Clean ? best : null;
    }
}
