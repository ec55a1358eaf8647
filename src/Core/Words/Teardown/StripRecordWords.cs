namespace FaithfulBracket.Core.Words.Teardown;

/// <summary>Sentences of strip record.</summary>
internal static class StripRecordWords
{
    public static Message NamePieceThatItHeldSuch => $"Name the piece that it held, such as cooler.";

    public static Message IsOffAlready(string holds) => $"The {holds} is off already: nothing can still hold it.";

    public static Message WhichDriverTurnedThem => $"Which driver turned them? T6, PH1, HEX1.5, NUT4.";

    public static Message ClickEachScrewOnMat => $"Click each screw on the mat: a group needs one place at least.";
}
