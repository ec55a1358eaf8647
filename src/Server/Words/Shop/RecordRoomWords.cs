namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of record room.</summary>
internal static class RecordRoomWords
{
    public static string ReadingCountsNoMore(string? before) => $"The {before} reading counts no more.";

    public static string LogAndReadingsFromItCount(string? before) =>
        $"The log “{before}” and the readings from it count no more.";

    public static string WasAndIs(string kind, string? before, string? after) =>
        $"The {kind} was “{before}” and is “{after}”.";

    public const string ByEyePressureAloneTells = " by eye, the pressure alone tells under";

    public const string NotSaidWhereItComes = "not said where it comes from";
}
