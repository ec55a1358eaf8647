namespace FaithfulBracket.Core.Words.Prove.Faults;

/// <summary>Sentences of fault finder.</summary>
internal static class FaultFinderWords
{
    public static Message LimitsBodyOfMiBReadings =>
        $"Limits: a body of 4 MiB, 200 readings, and those of the board and block documents.";

    public static Message NoSingleLineExplains =>
        $"No single line explains what was read: two things may be wrong at once, or a reading is of something "
        + $"else.";

    public static Message BlockCoversNoSuchPart(string part) => $"{part}: the block covers no such part.";

    public static Message CanNotShow(string part) => $"{part} cannot show that.";
}
