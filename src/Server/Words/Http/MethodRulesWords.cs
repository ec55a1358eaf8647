namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of method rules.</summary>
internal static class MethodRulesWords
{
    public static string ThereIsNoCall(string method, object path, string of) =>
        $"There is no call {method} {path}{of}.";

    public static string ContentTypeIsNotTaken(string method, object path, string? contentType) =>
        $"{method} {path} does not take {contentType ?? "a body without a content type"}. "
        + "Send pictures as image/jpeg or image/png, packs as application/zip and everything else as application/json.";

    public const string NotByThisMethod = "Not by this method";

    public const string NotInThisForm = "Not in this form";
}
