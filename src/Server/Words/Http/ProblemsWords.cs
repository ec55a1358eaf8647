namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of problems.</summary>
internal static class ProblemsWords
{
    public const string InputBreaksRule = "The input breaks a rule";

    public const string InputCanNotBeRead = "The input cannot be read";

    public const string SignedStepsRest = "Signed steps rest on this one";

    public const string ThisStepIsLocked = "This step is locked";

    public const string KeyIsTaken = "The key is taken";

    public const string ThisJobIsFinished = "This job is finished";

    public const string ThisJobIsOpen = "This job is open";

    public const string ThisStepIsSigned = "This step is signed";

    public const string JobsRestOnThisDocument = "Jobs rest on this document";

    public const string IdIsTaken = "The id is taken";

    public const string TooMuchAtOnce = "Too much at once";

    public const string ShopsFileWasInUse =
        "The shop's file was in use by others for too long: nothing was changed. Do it again.";

    public const string RequestCanNotBeRead = "The request cannot be read";

    public const string ServerFailedOnThisRequest =
        "The server failed on this request; nothing was changed. The log has the details.";
}
