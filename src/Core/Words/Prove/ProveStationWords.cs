namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of prove station.</summary>
internal static class ProveStationWords
{
    public static string LookAlongEdges(string on, string touching) => $"Look along the edges{on}: gap even{touching}";

    public static string LookAlongEdgesGapEvenAll(string on) =>
        $"Look along the edges{on}: gap even all round, every spring as short as the others";

    public const string SameSliverOfLightAllAlong =
        "The same sliver of light all along each edge; no pad stands proud of another.";

    public static string NoLiftToReadImprintUnless(string cost) =>
        $"No lift to read the imprint unless the proof is poor: it costs {cost}.";

    public const string ImprintReadMountedAgain = "Imprint read, mounted again";

    public static string LiftOnceReadImprintOfDie(string on) =>
        $"Lift once{on}, read the imprint of die and pads, mount again";

    public static string CostsPaleCorners(string cost) =>
        $"Costs {cost}. Pale corners: film too thick there. A pad without a mark: it did not touch.";

    public const string StraightUpTiltedLiftChipsDie = "Straight up: a tilted lift chips the die.";

    public const string LeakTestWhereItStandsEverything =
        "Leak test where it stands, everything but the pump unplugged: pressure hold or plain water";

    public const string LeakTestOffMachine = "Leak test off the machine: pressure hold or a soak with plain water";

    public const string PaperUnderEveryJoint =
        "Paper under every joint. A leak is recorded with its place: it may be a pump or a fitting.";

    public const string PowerOnlyPump =
        "Power only the pump. In an air test, use at most 0.5 bar and never connect a compressor directly.";

    public const string LetTestWaterOut = "Let the test water out into a can and weigh it";

    public const string AsMuchAsWent =
        "As much as went in: a gram is a millilitre. What stays behind thins the coolant: tilt, and blow through "
        + "from the highest port. After a test with air, open the valve slowly instead.";

    public const string AwayFromMachine = "Away from the machine: what drips off a hose end finds the connector.";

    public static string FillLoopWithCoolantAndBleed(int boxeCount) =>
        $"Fill the loop with coolant and bleed all {boxeCount} blocks";

    public const string FillLoopAndBleedIt = "Fill the loop with coolant and bleed it";

    public const string PumpOnTiltUntilNoBubble =
        "Pump on, tilt until no bubble comes and flow and sound stay as they are. Air stays longest in the "
        + "highest block and in the one with the least flow.";

    public const string DoNotPowerAnythingButPump =
        "Do not power anything but the pump until the loop is filled and dry outside.";

    public const string PlugInSensorLeadsAndBoot = "Plug in the sensor leads and boot";

    public static string FirstThatWasComplained(string several, string? detail) =>
        $"The {several} first: that was complained of. {detail}";

    public static string ReadPartsUnderSinksAtSame(string hottest) =>
        $"Read the parts under sinks at the same load: {hottest} first";

    public const string ByTheirOwnSensorsElseProbe =
        "By their own sensors, else a probe against the foot of the sink. Expected in air of ";

    public const string HotterMoreAirOverThem = ". Hotter: more air over them, or a sink that does not sit.";

    public const string SinksAreHot = "Sinks are hot: no fingers. A metal tip between them is a short circuit.";

    public const string FigureStandsStillWithinMinute =
        "The figure stands still within a minute, and none of them creeps on.";

    public const string NoLightUnderDie = ", no light under the die";

    public static string CoolantComesInWarmer(double rise) =>
        $" Its coolant comes in {rise:0.0} K warmer than at the first block: read it there.";

    public const string ReadEveryModulesOwnSensor =
        "Read every module's own sensor at the same load, room and clocks as before, steady";

    public static string MeasureAtSameLoadRoom(string on) =>
        $"Measure{on} at the same load, room and clocks as before, steady";

    public const string CoolantRoomAndFlowNoted = "Coolant, room and flow noted; bubbles bled; same pump setting.";

    public const string CheckThatAllMemoryIsDetected = "Check that all memory is detected and runs at its normal speed";

    public const string ContactsPressedTooLittleShowThere =
        "Contacts pressed too little show there first. A module that is missing or slow: the same turn more on "
        + "each, then look again.";

    public const string EveryModuleIsListedEach = "Every module is listed, each at the speed it had before.";

    public const string EvenAllRound = "Even all round";

    public const string OutAndWeighed = "Out and weighed";

    public static string About(string about) => $": about {about} g";

    public const string FilledNoBubbles = "Filled, no bubbles";

    public const string ItBoots = "It boots";

    public const string WithinTheirLimits = "Within their limits";

    public const string ReadingsTaken = "Readings taken";

    public const string AtSpeed = "At its speed";

    public const string NothingRunsAnyMoreAndBlock =
        "Nothing runs any more, and the block sounds hollow when you blow through it.";
}
