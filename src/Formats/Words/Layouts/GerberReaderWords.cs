namespace FaithfulBracket.Formats.Words.Layouts;

/// <summary>Sentences of gerber reader.</summary>
internal static class GerberReaderWords
{
    public const string ThisIsCopperOrMaskLayer =
        "this is a copper or mask layer (Gerber), which holds no holes, parts or outline. Export the drill file "
        + "and the board's profile.";

    public static string NoClosedLineIsDrawnHere(string noProfile) => $"no closed line is drawn here: {noProfile}";

    public static string BoardEndsAtMiddleOfDrawn(string file) =>
        $"{file}: the board ends at the middle of the drawn line.";

    public static string InsideOutlineTakenAsCutOuts(string of, string are) =>
        $"{of} inside the outline {are} taken as cut-outs and left out.";

    public const string LastWordHasNoAsterisk = "the last word has no asterisk: the file is cut off.";

    public const string FSExpectedDigitsBeforeAndAfter =
        "FS: expected digits before and after the point such as FSLAX46Y46.";

    public const string SRPanelOfSeveralBoards = "SR: a panel of several boards. Export the profile of a single board.";

    public static string IsNotGerberWord(string shortText) => $"\"{shortText}\" is not a Gerber word.";

    public static string MoreThanLines(int maxPoints) =>
        $"more than {maxPoints} lines. Export the board's profile alone.";

    public const string ArcWithoutIAndJ = "an arc without I and J.";

    public static string ExpectedWholeNumberFound(string shortText) =>
        $"expected a whole number, found \"{shortText}\".";
}
