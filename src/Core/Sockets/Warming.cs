using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Sockets;

/// <summary>How long a lidded processor takes to be warm right through: m·c·dT/dt = hA·(T_oven − T).</summary>
/// <param name="MassG">Estimated from its volumes where no document weighs it, g.</param>
/// <param name="ToC">Stated temperature, °C.</param>
/// <param name="Minutes">To within two kelvin of it.</param>
public sealed record Warming(double MassG, double ToC, double Minutes)
{
    /// <summary>Heat held, J/(g·K), and what air gives, W/K.</summary>
    private const double HeatJPerGK = 0.4,
        AirWPerK = 0.12;

    /// <summary>Copper of a lid and glass fibre of a substrate, g/mm³.</summary>
    private const double CopperGPerMm3 = 8.96e-3,
        SubstrateGPerMm3 = 1.9e-3;

    private const double UnstatedLidMm = 2,
        WithinK = 2;

    /// <param name="massG">Null estimates it.</param>
    public static Warming Compute(Board processor, double toC, double fromC, double? massG = null)
    {
        var mass = massG ?? MassOf(processor);
        var seconds = toC - fromC <= WithinK ? 0 : mass * HeatJPerGK / AirWPerK * Math.Log((toC - fromC) / WithinK);
        return new(mass, toC, seconds / 60);
    }

    private static double MassOf(Board processor)
    {
        var substrate = processor.Outline.Area * processor.ThicknessMm * SubstrateGPerMm3;
        return HeightChain.Lid(processor) is { } lid
            ? substrate + lid.Top().Area * (lid.LidThicknessMm ?? UnstatedLidMm) * CopperGPerMm3
            : substrate;
    }
}
