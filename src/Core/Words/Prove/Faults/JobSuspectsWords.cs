namespace FaithfulBracket.Core.Words.Prove.Faults;

/// <summary>Sentences of job suspects.</summary>
internal static class JobSuspectsWords
{
    public static Message AfterReadingNamesNoCoolant =>
        $"Cannot predict temperatures: the after reading has no coolant temperature.";

    public static Message NothingThatWasReadLiesBare =>
        $"Nothing that was read lies bare under this block: nothing can be compared.";
}
