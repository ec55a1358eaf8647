namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of own pages.</summary>
internal static class OwnPagesWords
{
    public static string ThisShopDoesNotAnswer(string host) =>
        $"This shop does not answer to the name {host}. Say --hosts to add one.";

    public const string OnlyThisShopsOwnPages = "Only this shop's own pages and programs may write to it.";

    public static string NothingIsWrittenFrom(string contentType) =>
        $"Nothing is written from {contentType}. Send application/json, lines of JSON as application/x-ndjson, "
        + "files as multipart/form-data.";

    public const string TextIsReadAsUtf8 = "Text is read as UTF-8: send it so, and say charset=utf-8 or nothing.";
}
