namespace FaithfulBracket.Core.Words.Choosing;

/// <summary>Sentences of plan b.</summary>
internal static class PlanBWords
{
    public static Message OnDiePassesLimitEven(string name, string part) =>
        $"{name} on the die; {part} passes its limit even with a fan: not without a larger sink.";

    public static Message OnDieSinksOnAndFan(string name, string parts, string part) =>
        $"{name} on the die, sinks on {parts}, and a fan on them: without it {part} passes its limit.";

    public static Message OnDieSinks(string name, string parts) =>
        $"{name} on the die, sinks on {parts}; case airflow is enough.";

    public static Message PartStaysOnAirAndNeeds => $"part stays on air and needs";

    public static Message PartsStayOnAirAndNeed => $"parts stay on air and need";

    public static Message StayInCase(double sinkCount) => $"{sinkCount:0} W stay in the case.";

    public static Message TallSinksMayMeetNextCard => $"Tall sinks may meet the next card: keep a slot free.";

    public static Message SinksStayWithinCardsOwnHeight => $"Sinks stay within the card's own height.";

    public static Message NoCoreOnlyBlockOfLibrary(string kept, string keepTheir) =>
        $"No core-only block of the library goes on it: {kept} {keepTheir} stock cooler";

    public static Message NoCoreOnlyBlockOfLibraryGoes => $"No core-only block of the library goes on it";

    public static Message NothingElseIsHot => $"nothing else is hot.";

    public static Message PassesLimitEvenWithFan(string part) =>
        $"{part} passes its limit even with a fan: its stock sink stays.";

    public static Message SinksOnAndFanOnThem(string parts, string part) =>
        $"sinks on {parts}, and a fan on them: without it {part} passes its limit.";

    public static Message SinksOnCaseAirflowIsEnough(string parts) => $"sinks on {parts}; case airflow is enough.";

    public static Message NoSinkIsLeft => $"no sink is left for it";

    public static Message InStillAirWithFan(
        string part,
        double dissipationW,
        string what,
        double still,
        double fan,
        string limit
    ) => $"{part}, {dissipationW:0.#} W: {what}: {still:0} °C in still air, {fan:0} °C with a fan{limit}.";
}
