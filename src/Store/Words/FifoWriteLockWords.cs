namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of write turn.</summary>
internal static class FifoWriteLockWords
{
    public const string AnotherChangeOfShopsFileDid = "Another change of the shop's file did not end in time.";
}
