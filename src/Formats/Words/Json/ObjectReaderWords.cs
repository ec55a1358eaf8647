namespace FaithfulBracket.Formats.Words.Json;

/// <summary>Sentences of object reader.</summary>
internal static class ObjectReaderWords
{
    public static string ExpectedObjectFound(string describe) => $"Expected an object, found {describe}.";

    public const string ThisFieldStandsTwice = "This field stands twice; keep one.";

    public const string ExpectedTextFoundEmpty = "Expected text, found an empty one.";

    public static string ExpectedWholeNumberFound(double found) => $"Expected a whole number, found {found}.";

    public static string MissingExpectedWholeNumber(string range) => $"Missing: expected a whole number{range}.";

    public static string ExpectedTrueOrFalseFound(string describe) => $"Expected true or false, found {describe}.";

    public static string MissingExpectedOne(string all) => $"Missing: expected one of {all}.";

    public static string ExpectedOneOfFound(string all, string found) => $"Expected one of {all}, found \"{found}\".";

    public const string MissingExpectedObject = "Missing: expected an object.";

    public static string ExpectedListOfAtMostPairs(int maxItems, string describe) =>
        $"Expected a list of at most {maxItems} pairs [x, y], found {describe}.";

    public static string ExpectedPairOfIdsFirstSecond(string describe) =>
        $"Expected a pair of ids [first, second], found {describe}.";

    public const string MissingExpectedOutlineOfAtLeast =
        "Missing: expected an outline of at least three [x, y] points.";

    public static string UnknownFieldRemoveItOrKeep(string name) =>
        $"Unknown field \"{name}\": remove it, or keep it as x-{name}.";

    public static string UnknownFieldDidYouMean(string name, string near) =>
        $"Unknown field \"{name}\": did you mean \"{near}\"?";

    public static string ExpectedAtMostEntriesFound(int maxItems, int arrayLength) =>
        $"Expected at most {maxItems} entries, found {arrayLength}.";

    public static string ExpectedAtLeastThreePointsFound(int pointCount) =>
        $"Expected at least three points, found {pointCount}.";

    public static string ExpectedAtMostCornersFound(int maxCorners, int pointCount) =>
        $"Expected at most {maxCorners} corners, found {pointCount}.";

    public const string OutlineCrossesItself = "The outline crosses itself: list its corners in order.";

    public const string OutlineEnclosesNoArea = "The outline encloses no area.";
}
