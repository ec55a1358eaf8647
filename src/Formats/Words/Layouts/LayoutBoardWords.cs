namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of layout board.</summary>
internal static class LayoutBoardWords
{
    public const string FilesHoldNoOutlineAndFewer =
        "The files hold no outline and fewer than two holes and parts: there is nothing to make a board of.";

    public static string NoHeightIsStated(string names) =>
        $"No height is stated for {names}: it stays unknown, and no verdict says more than unproven until you say "
        + "it or measure it.";

    public static string NoSizeIsStated(string names, double unknownSizeMm) =>
        $"No size is stated for {names}: drawn {unknownSizeMm:0} × {unknownSizeMm:0} mm.";

    public static string WithoutDiameterLeftOut(string holes) => $"{holes} without a diameter left out.";

    public static string NoThicknessIsStated(double unknownThicknessMm) =>
        $"No thickness is stated: taken as {unknownThicknessMm:0.0} mm.";

    public static string NoOutlineIsStated(double rimMm) =>
        $"No outline is stated: a rectangle {rimMm:0} mm round everything.";

    public static string IsNotAmongParts(string lost) => $"\"{lost}\" is not among the parts of these files.";
}
