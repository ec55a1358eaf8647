namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of newer endpoints.</summary>
internal static class NewerEndpointsWords
{
    public const string OnePlanForEachDocument = "One plan for each document that is offered, 5 s at most.";
}
