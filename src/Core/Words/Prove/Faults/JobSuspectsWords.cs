namespace FaithfulBracket.Core.Words.Prove.Faults;

/// <summary>Sentences of job suspects.</summary>
internal static class JobSuspectsWords
{
    public const string AfterReadingNamesNoCoolant =
        "The after reading names no coolant: nothing can be expected of it.";

    public const string NothingThatWasReadLiesBare =
        "Nothing that was read lies bare under this block: nothing can be compared.";
}
