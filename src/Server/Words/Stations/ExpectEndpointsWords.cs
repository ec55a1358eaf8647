namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of expect endpoints.</summary>
internal static class ExpectEndpointsWords
{
    public const string FlowFromToLMin = "a flow from 0.1 to 30 L/min";

    public const string ChooseBlockAndPaste = "Choose a block and a paste first: nothing is seated yet.";
}
