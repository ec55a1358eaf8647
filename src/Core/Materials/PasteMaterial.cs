namespace FaithfulBracket.Core.Materials;

/// <summary>A paste and its bond-line law h = c·(τy/P)^m (Prasher et al. 2003).</summary>
/// <param name="Id">Its name in the drawer; null when given inline.</param>
/// <param name="YieldPa">Yield stress τy, Pa.</param>
/// <param name="ViscosityPaS">Viscosity past yield, Pa·s.</param>
/// <param name="DensityGPerMl">Density, g/mL.</param>
/// <param name="CUm">Scale c of the law, µm.</param>
/// <param name="M">Exponent m of the law.</param>
/// <param name="ConductivityWPerMK">Conductivity, W/(m·K).</param>
public sealed record PasteMaterial(
    string? Id,
    double YieldPa,
    double ViscosityPaS,
    double DensityGPerMl,
    double CUm = PasteMaterial.DefaultCUm,
    double M = PasteMaterial.DefaultM,
    double ConductivityWPerMK = 4
)
{
    /// <summary>A gallium alloy: conducts, destroys aluminium, goes on as a film on both faces.</summary>
    public bool LiquidMetal { get; init; }

    public const double DefaultCUm = 131;
    public const double DefaultM = 0.166;

    /// <summary>Film thickness in µm under a pressure in MPa. The yield stress is brought to MPa first.</summary>
    public double BondLineUm(double pressureMPa) => CUm * Math.Pow(YieldPa * 1e-6 / pressureMPa, M);

    /// <summary>Pressure in MPa that a film of the given thickness carries: τy·(c/h)^(1/m).</summary>
    public double PressureMPa(double filmUm) => YieldPa * 1e-6 * Math.Pow(CUm / filmUm, 1 / M);
}
