namespace FaithfulBracket.Core.Words.Choosing;

/// <summary>Sentences of plan b.</summary>
internal static class PlanBWords
{
    public static string OnDiePassesLimitEven(string name, string part) =>
        $"{name} on the die; {part} passes its limit even with a fan: not without a larger sink.";

    public static string OnDieSinksOnAndFan(string name, string parts, string part) =>
        $"{name} on the die, sinks on {parts}, and a fan on them: without it {part} passes its limit.";

    public static string OnDieSinks(string name, string parts) =>
        $"{name} on the die, sinks on {parts}; case airflow is enough.";

    public const string PartStaysOnAirAndNeeds = "part stays on air and needs";

    public const string PartsStayOnAirAndNeed = "parts stay on air and need";

    public static string StayInCase(double sinkCount) => $"{sinkCount:0} W stay in the case.";

    public const string TallSinksMayMeetNextCard = "Tall sinks may meet the next card: keep a slot free.";

    public const string SinksStayWithinCardsOwnHeight = "Sinks stay within the card's own height.";

    public static string NoCoreOnlyBlockOfLibrary(string kept, string keepTheir) =>
        $"No core-only block of the library goes on it: {kept} {keepTheir} stock cooler";

    public const string NoCoreOnlyBlockOfLibraryGoes = "No core-only block of the library goes on it";

    public const string NothingElseIsHot = "nothing else is hot.";

    public static string PassesLimitEvenWithFan(string part) =>
        $"{part} passes its limit even with a fan: its stock sink stays.";

    public static string SinksOnAndFanOnThem(string parts, string part) =>
        $"sinks on {parts}, and a fan on them: without it {part} passes its limit.";

    public static string SinksOnCaseAirflowIsEnough(string parts) => $"sinks on {parts}; case airflow is enough.";

    public const string NoSinkIsLeft = "no sink is left for it";

    public static string InStillAirWithFan(
        string part,
        double dissipationW,
        string what,
        double still,
        double fan,
        string limit
    ) => $"{part}, {dissipationW:0.#} W: {what}: {still:0} °C in still air, {fan:0} °C with a fan{limit}.";
}
