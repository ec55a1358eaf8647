namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of edit endpoints.</summary>
internal static class EditEndpointsWords
{
    public const string ExpectedBlocksDocumentInFieldDocument =
        "Expected the block's document in the field \"document\".";

    public const string BlockHasNoPlateYet = "The block has no plate yet.";
}
