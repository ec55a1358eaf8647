namespace FaithfulBracket.Core.Blocks;

/// <summary>Nominal diameter and pitch of the screws in use, mm. ISO 261 coarse; 6-32 UNC from ASME B1.1.</summary>
public readonly record struct ScrewThread(string Name, double DiameterMm, double PitchMm)
{
    private static readonly Dictionary<string, ScrewThread> Known = new ScrewThread[]
    {
        new("M1.6", 1.6, 0.35),
        new("M2", 2, 0.4),
        new("M2.5", 2.5, 0.45),
        new("M3", 3, 0.5),
        new("M4", 4, 0.7),
        new("6-32", 3.505, 0.794),
        new("6-32 UNC", 3.505, 0.794),
    }.ToDictionary(t => t.Name);

    /// <summary>The named thread; an unnamed one is taken as M2.5 of the given diameter.</summary>
    public static ScrewThread Parse(string? name, double screwMm) =>
        name is not null && Known.TryGetValue(name, out var t)
            ? t
            : Known.Values.MinBy(k => Math.Abs(k.DiameterMm - screwMm));

    /// <summary>
    /// Pull that the screw takes without stretching, N: 580 MPa on its stress area (ISO 898-1, class 8.8). Past it, it strips.
    /// </summary>
    public double HoldsN => 580 * Math.PI / 4 * Math.Pow(DiameterMm - 0.9382 * PitchMm, 2);

    /// <summary>Tightening torque K·d·F with K = 0.2 for dry steel, N·m.</summary>
    public double TorqueNm(double loadN) => 0.2 * DiameterMm / 1000 * loadN;
}
