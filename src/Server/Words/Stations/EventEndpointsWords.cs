namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of event endpoints.</summary>
internal static class EventEndpointsWords
{
    public const string ExpectedAnAddress =
        "Expected an address that begins with http:// or https:// and names no user. Give the one of the other tool.";

    public const string NothingIsSent = "Nothing is sent. Name an address and turn the events on first.";

    public static string IsNoKindOfEvent(string kind, string kinds) =>
        $"\"{kind}\" is not a kind of event. Choose from {kinds}.";
}
