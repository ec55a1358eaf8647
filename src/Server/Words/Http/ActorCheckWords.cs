namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of actor check.</summary>
internal static class ActorCheckWords
{
    public const string ExpectedByOnce = "Expected by once. Send one value.";

    public static string IsNotKnownHere(string initials) =>
        $"{initials} is not known here. Enter the initials in Settings first.";

    public static string LeftOnAndCanNoLonger(string initials, string day) =>
        $"{initials} left on {day} and can no longer sign or write.";
}
