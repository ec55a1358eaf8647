namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of corrections.</summary>
internal static class CorrectionsWords
{
    public const string ThisJobIsOpen = "This job is open: change it as usual.";

    public const string ThisJobIsFinishedAndStays =
        "This job is finished and stays as it was signed. Add a correction with your reason, or undo its last "
        + "sign-off first.";
}
