namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of dxf reader.</summary>
internal static class DxfReaderWords
{
    public static string MoreThanEntitiesInsertedBlocksCounted(int maxEntities) =>
        $"more than {maxEntities} entities, inserted blocks counted.";

    public const string CIRCLEInBlockThatIsStretched = "CIRCLE in a block that is stretched";

    public static string BlocksLieInEachOtherMore(int deepestInsert) =>
        $"blocks lie in each other more than {deepestInsert} deep, or in themselves.";

    public const string SPLINEHasNeitherControlPoints = "SPLINE has neither control points nor points to run through.";

    public static string SPLINEOfDegreeWithControlPoints(
        int degree,
        int controlCount,
        int neededKnots,
        int knotCount
    ) =>
        $"SPLINE of degree {degree} with {controlCount} control points needs {neededKnots} knots, found "
        + $"{knotCount}.";

    public const string SPLINENeedsWeightAboveForEach = "SPLINE needs a weight above 0 for each control point.";

    public const string SPLINEKnotsDoNotRise = "SPLINE: its knots do not rise.";

    public const string InsertNamesNoBlock = "INSERT names no block (group 2).";

    public static string InsertOfUnknownBlock(string name) =>
        $"INSERT of block \"{name}\", which the drawing does not hold,";
}
