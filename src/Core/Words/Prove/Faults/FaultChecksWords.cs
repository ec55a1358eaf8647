namespace FaithfulBracket.Core.Words.Prove.Faults;

/// <summary>Sentences of fault checks.</summary>
internal static class FaultChecksWords
{
    public static Message LessFlowThanStated => $"less flow than stated";

    public static Message NothingToLook => $"Nothing to look for: run it once more and keep the reading.";

    public static Message LookAlongEdge(string named) =>
        $"Look along the edge at {named}: a film shows as a bright line. Lift only if it does.";

    public static Message LookAlongEdgeAtLightComes(string named) =>
        $"Look along the edge at {named}: light comes through where no pad lies.";

    public static Message LookAlongEdgeAtWithFeeler(string named) =>
        $"Look along the edge at {named} with a feeler gauge: a pad that is too thin stays loose.";

    public static Message LiftAndReadImprint(string named) => $"Lift and read the imprint on {named}.";

    public static Message MeasureGapAtAllFourCorners(string? corner) =>
        $"Measure the gap at all four corners: the {corner} one stands high.";

    public static Message MeasureGapUnderBlockAtTwo =>
        $"Measure the gap under the block at two sides: more than drawn all round means a pad is too thick.";

    public static Message ReadFlowAtMeterThenSame =>
        $"Read the flow at a meter, then the same load at another pump speed.";

    public static Message TiltMachineWithPumpRunning =>
        $"Tilt the machine with the pump running until no bubble comes, then read again.";

    public static Message CompareWithReadingOfDay(string named) =>
        $"Compare with the reading of the day it was pasted; lift and read the imprint on {named}.";

    public static Message ReadWithSecondSensorOrSwap(string named) =>
        $"Read {named} with a second sensor, or swap the two leads.";

    public static Message MeasurePowerAtPlugOrCable => $"Measure the power at the plug or the cable, not in software.";
}
