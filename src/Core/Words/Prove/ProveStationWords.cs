namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of prove station.</summary>
internal static class ProveStationWords
{
    public static Message LookAlongEdges(string on, string touching) => $"Look along the edges{on}: gap even{touching}";

    public static Message LookAlongEdgesGapEvenAll(string on) =>
        $"Look along the edges{on}: gap even all round, every spring as short as the others";

    public static Message SameSliverOfLightAllAlong =>
        $"The same sliver of light all along each edge; no pad stands proud of another.";

    public static Message NoLiftToReadImprintUnless(string cost) =>
        $"No lift to read the imprint unless the proof is poor: it costs {cost}.";

    public static Message ImprintReadMountedAgain => $"Imprint read, mounted again";

    public static Message LiftOnceReadImprintOfDie(string on) =>
        $"Lift once{on}, read the imprint of die and pads, mount again";

    public static Message CostsPaleCorners(string cost) =>
        $"Costs {cost}. Pale corners: film too thick there. A pad without a mark: it did not touch.";

    public static Message StraightUpTiltedLiftChipsDie => $"Straight up: a tilted lift chips the die.";

    public static Message LeakTestWhereItStandsEverything =>
        $"Leak test where it stands, everything but the pump unplugged: pressure hold or plain water";

    public static Message LeakTestOffMachine => $"Leak test off the machine: pressure hold or a soak with plain water";

    public static Message PaperUnderEveryJoint =>
        $"Paper under every joint. A leak is recorded with its place: it may be a pump or a fitting.";

    public static Message PowerOnlyPump =>
        $"Power only the pump. In an air test, use at most 0.5 bar and never connect a compressor directly.";

    public static Message LetTestWaterOut => $"Let the test water out into a can and weigh it";

    public static Message AsMuchAsWent =>
        $"As much as went in: a gram is a millilitre. What stays behind thins the coolant: tilt, and blow through "
        + $"from the highest port. After a test with air, open the valve slowly instead.";

    public static Message AwayFromMachine => $"Away from the machine: what drips off a hose end finds the connector.";

    public static Message FillLoopWithCoolantAndBleed(int boxeCount) =>
        $"Fill the loop with coolant and bleed all {boxeCount} blocks";

    public static Message FillLoopAndBleedIt => $"Fill the loop with coolant and bleed it";

    public static Message PumpOnTiltUntilNoBubble =>
        $"Pump on, tilt until no bubble comes and flow and sound stay as they are. Air stays longest in the "
        + $"highest block and in the one with the least flow.";

    public static Message DoNotPowerAnythingButPump =>
        $"Do not power anything but the pump until the loop is filled and dry outside.";

    public static Message PlugInSensorLeadsAndBoot => $"Plug in the sensor leads and boot";

    public static Message FirstThatWasComplained(string several, string? detail) =>
        $"The {several} first: that was complained of. {detail}";

    public static Message ReadPartsUnderSinksAtSame(string hottest) =>
        $"Read the parts under sinks at the same load: {hottest} first";

    public static Message ByTheirOwnSensorsElseProbe =>
        $"By their own sensors, else a probe against the foot of the sink. Expected in air of ";

    public static Message HotterMoreAirOverThem => $". Hotter: more air over them, or a sink that does not sit.";

    public static Message SinksAreHot => $"Sinks are hot: no fingers. A metal tip between them is a short circuit.";

    public static Message FigureStandsStillWithinMinute =>
        $"The figure stands still within a minute, and none of them creeps on.";

    public static Message NoLightUnderDie => $", no light under the die";

    public static Message CoolantComesInWarmer(double rise) =>
        $" Its coolant comes in {rise:0.0} K warmer than at the first block: read it there.";

    public static Message ReadEveryModulesOwnSensor =>
        $"Read every module's own sensor at the same load, room and clocks as before, steady";

    public static Message MeasureAtSameLoadRoom(string on) =>
        $"Measure{on} at the same load, room and clocks as before, steady";

    public static Message CoolantRoomAndFlowNoted => $"Coolant, room and flow noted; bubbles bled; same pump setting.";

    public static Message CheckThatAllMemoryIsDetected =>
        $"Check that all memory is detected and runs at its normal speed";

    public static Message ContactsPressedTooLittleShowThere =>
        $"Contacts pressed too little show there first. A module that is missing or slow: the same turn more on "
        + $"each, then look again.";

    public static Message EveryModuleIsListedEach => $"Every module is listed, each at the speed it had before.";

    public static Message EvenAllRound => $"Even all round";

    public static Message OutAndWeighed => $"Out and weighed";

    public static Message About(string about) => $": about {about} g";

    public static Message FilledNoBubbles => $"Filled, no bubbles";

    public static Message ItBoots => $"It boots";

    public static Message WithinTheirLimits => $"Within their limits";

    public static Message ReadingsTaken => $"Readings taken";

    public static Message AtSpeed => $"At its speed";

    public static Message NothingRunsAnyMoreAndBlock =>
        $"Nothing runs any more, and the block sounds hollow when you blow through it.";
}
