namespace FaithfulBracket.Core.Words.Prove.Faults;

/// <summary>Sentences of job suspects.</summary>
internal static class JobSuspectsWords
{
    public const string AfterReadingNamesNoCoolant =
        "Cannot predict temperatures: the after reading has no coolant temperature.";

    public const string NothingThatWasReadLiesBare =
        "Nothing that was read lies bare under this block: nothing can be compared.";
}
