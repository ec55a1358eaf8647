using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Words.Prove.Faults;

namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>
/// A bench with what is hidden in it, as it runs: a card protects itself. Where a part would pass its limit the power falls until it
/// stands at it; where that takes most of the power the card switches off. Every rise over the inlet goes with the power.
/// </summary>
public sealed class BenchRun
{
    /// <summary>With less of its power than this a card gives up and switches off.</summary>
    public const double MinShare = 0.3;

    private readonly double _inletC;
    private readonly IReadOnlyList<HiddenFault> _faults;

    /// <param name="faults">None, one, or several at once.</param>
    public BenchRun(FaultBench bench, IReadOnlyList<HiddenFault> faults, HeatConditions at)
    {
        (Bench, _faults, _inletC) = (bench, faults, at.CoolantInC);
        Share = 1;
        foreach (var p in bench.Parts.Where(p => p is { Watts: > 0, LimitC: not null }))
            if (
                FullC(p) is var c
                && c > p.LimitC
                && Math.Max(0, p.LimitC!.Value - _inletC) / (c - _inletC) is var s
                && s < Share
            )
                (Share, Held) = (s, p);
    }

    public FaultBench Bench { get; }

    /// <summary>Of its power at which it settles, or stands when it switches off.</summary>
    public double Share { get; }

    /// <summary>The part at its limit; null where none is.</summary>
    public FaultPart? Held { get; }

    public bool SwitchesOff => Share < MinShare;

    /// <summary>As it runs, °C: at its limit at most.</summary>
    public double C(FaultPart part) => At(FullC(part));

    /// <summary>What is expected of it at the same power.</summary>
    public double ExpectedC(FaultPart part) => At(Bench.ExpectedC(part));

    /// <summary>What it would stand at if nothing held it back.</summary>
    public double FullC(FaultPart part)
    {
        var (now, shift) = (part, 0.0);
        foreach (var f in _faults)
        {
            var (c, land, own) = Bench.With(now, f.Kind, f.Part, f.Corner, f.Size);
            // what the fault does to the coolant stays with the next
            shift += c - land - own - (Bench.ExpectedC(now) - now.LandK - now.OwnK);
            now = now with { LandK = land, OwnK = own };
        }
        return Bench.ExpectedC(now) + shift;
    }

    private double At(double fullC) => _inletC + (fullC - _inletC) * Share;

    /// <summary>In a sentence; null where nothing holds it back.</summary>
    public string? Words =>
        Held is not { } part ? null
        : SwitchesOff ? BenchRunWords.ItSwitchesOff(part.Id, part.LimitC)
        : BenchRunWords.ItThrottlesStandsAtLimit(part.Id, part.LimitC, Share * 100);
}
