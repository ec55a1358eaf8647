namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of own pages.</summary>
internal static class OwnPagesWords
{
    public static string ThisShopDoesNotAnswer(string host) =>
        $"This shop does not answer to the name {host}. Say --hosts to add one.";

    public const string OnlyThisShopsOwnPages = "Only this shop's own pages and programs may write to it.";
}
