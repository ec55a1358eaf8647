namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of sign off service.</summary>
internal static class SignOffServiceWords
{
    public const string ThisJobKeepsChangingWhileYou =
        "This job keeps changing while you are at it. Look at it again, then go on.";

    public const string ThisStepIsNotSigned = "This step is not signed: nothing to take back.";

    public const string ThisJobIsFinished = "This job is finished: nothing more comes off in it.";

    public const string ItCanNotBeTakenApart = "It cannot be taken apart so.";

    public const string ThisStepChangedMeanwhile = "This step changed meanwhile.";

    public static string ThisStepAtWhileYouWere(string byInitials, string tookBack, string clock) =>
        $"{byInitials} {tookBack} this step at {clock} while you were at it. Theirs stands; look, then go on.";

    public static string SignedThisAlready(string? by, string clock) => $"{by} signed this already at {clock}.";
}
