namespace FaithfulBracket.Server.Words.Shop;

/// <summary>Sentences of passports.</summary>
internal static class PassportsWords
{
    public const string EdgesEvenAllRound = "edges: even all round";
}
