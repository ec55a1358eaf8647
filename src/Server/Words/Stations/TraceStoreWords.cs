namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of trace store.</summary>
internal static class TraceStoreWords
{
    public const string ThisPhotosFileIsGone =
        "This photo's file is gone from the folder photos: put it back from a backup.";

    public static string ExpectedAtMostHolesAndParts(int maxFeatures, int featureCount) =>
        $"Expected at most {maxFeatures} holes and parts, found {featureCount}.";

    public static string NameStandsTwice(string key) =>
        $"The name \"{key}\" stands twice: each hole and part needs its own.";

    public static string MarkStandsTwice(int key) => $"Mark {key} stands twice: keep one.";

    public const string PartNeedsTwoOppositeCorners =
        "A part needs two opposite corners: give oppositeUPx and oppositeVPx.";

    public static string MarkHolesAndParts(int featureCount) =>
        $"Mark holes and parts: {featureCount} so far, three at least.";

    public static string PutCaliperOn(string missing) => $"Put the caliper on it: {missing}.";

    public static string ThereIsNoHole(string featureId) => $"There is no hole \"{featureId}\" in this trace.";

    public const string MarkDieFirst = "Mark the die first: the others lie about its middle.";
}
