namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of sign offs.</summary>
internal static class SignOffsWords
{
    public const string ThisKeyWasSentBefore =
        "This key was sent before with other content. A new press needs a new key; the first one stands.";
}
