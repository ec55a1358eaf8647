namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of traces.</summary>
internal static class TracesWords
{
    public static string ThereIsNoTrace(long id) => $"There is no trace {id}.";

    public const string SomebodyChangedThisTraceSinceYou =
        "Somebody changed this trace since you opened it. Look at their change, then make yours again.";
}
