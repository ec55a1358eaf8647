namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of svg reader.</summary>
internal static class SvgReaderWords
{
    public static string MoreThanPointsInAllCurves(int maxPoints) =>
        $"more than {maxPoints} points in all curves together.";

    public const string ThisIsXMLButNoSVG = "this is XML, but no SVG drawing.";

    public static string ThisDrawingBreaksOff(string message) =>
        $"this drawing breaks off or is not complete XML: {message}";

    public static string MoreThanElementsUsedOnesCounted(int maxElements) =>
        $"more than {maxElements} elements, used ones counted.";

    public static string GroupsLieInEachOtherMore(int deepest) =>
        $"groups lie in each other more than {deepest} deep, or in themselves.";

    public const string UseOfSomethingThatDrawingDoes = "use of something that the drawing does not hold";
}
