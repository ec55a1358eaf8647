namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of problems.</summary>
internal static class ProblemsWords
{
    public const string ShopsFileWasInUse =
        "The shop's file was in use by others for too long: nothing was changed. Do it again.";

    public const string ServerFailedOnThisRequest =
        "The server failed on this request; nothing was changed. The log has the details.";
}
