namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of shop events.</summary>
internal static class ShopEventsWords
{
    public static string ThereIsNoEvent(long id) => $"There is no event {id}.";
}
