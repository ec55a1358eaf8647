using FaithfulBracket.Core.Words.Orders;
using FaithfulBracket.Core.Words.Prove.Faults;

namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>The one look or reading that settles a suspicion, and the one that tells two apart.</summary>
public static class FaultChecks
{
    public static string Name(FaultKind kind) =>
        kind switch
        {
            FaultKind.None => "nothing wrong",
            FaultKind.FilmLeft => ShopSettingListWords.FilmLeftOnPad,
            FaultKind.PadMissing => "pad missing",
            FaultKind.PadThin => "pad too thin",
            FaultKind.PasteVoid => "a corner without paste",
            FaultKind.Tilt => "block tilted",
            FaultKind.Floats => "block floats",
            FaultKind.LowFlow => FaultChecksWords.LessFlowThanStated,
            FaultKind.Air => ShopSettingListWords.AirInFins,
            FaultKind.PumpOut => "paste pumped out",
            _ => ShopSettingListWords.SensorOrPowerMisread,
        };

    public static string Describe(FaultKind kind, IReadOnlyList<string> parts, string? corner) =>
        kind switch
        {
            FaultKind.None => FaultChecksWords.NothingToLook,
            FaultKind.FilmLeft => FaultChecksWords.LookAlongEdge(Named(parts)),
            FaultKind.PadMissing => FaultChecksWords.LookAlongEdgeAtLightComes(Named(parts)),
            FaultKind.PadThin => FaultChecksWords.LookAlongEdgeAtWithFeeler(Named(parts)),
            FaultKind.PasteVoid => FaultChecksWords.LiftAndReadImprint(Named(parts)),
            FaultKind.Tilt => FaultChecksWords.MeasureGapAtAllFourCorners(corner),
            FaultKind.Floats => FaultChecksWords.MeasureGapUnderBlockAtTwo,
            FaultKind.LowFlow => FaultChecksWords.ReadFlowAtMeterThenSame,
            FaultKind.Air => FaultChecksWords.TiltMachineWithPumpRunning,
            FaultKind.PumpOut => FaultChecksWords.CompareWithReadingOfDay(Named(parts)),
            _ => parts.Count > 0
                ? FaultChecksWords.ReadWithSecondSensorOrSwap(Named(parts))
                : FaultChecksWords.MeasurePowerAtPlugOrCable,
        };

    /// <summary>Less likely than this the second is no matter.</summary>
    private const double WorthTelling = 0.05;

    /// <summary>What one does first, cheapest first: read, look, then lift.</summary>
    public static string Between(IReadOnlyList<FaultHypothesis> ranked)
    {
        if (ranked.Count == 0)
            return Describe(FaultKind.None, [], null);
        if (ranked.Count == 1 || ranked[1].Probability < WorthTelling)
            return ranked[0].Check;
        var (a, b) = (ranked[0], ranked[1]);
        return Cost(a.Kind) <= Cost(b.Kind) && a.Kind != FaultKind.None ? a.Check
            : b.Kind != FaultKind.None ? b.Check
            : a.Check;
    }

    /// <summary>Readings cost nothing, looks little, a lift fresh pads and paste.</summary>
    private static int Cost(FaultKind kind) =>
        kind switch
        {
            FaultKind.Misread or FaultKind.LowFlow or FaultKind.Air => 0,
            FaultKind.None => 1,
            FaultKind.PasteVoid or FaultKind.PumpOut => 3,
            _ => 2,
        };

    private static string Named(IReadOnlyList<string> parts) => string.Join(" or ", parts.Take(6));
}
