namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of signer endpoints.</summary>
internal static class SignerEndpointsWords
{
    public static string ExpectedAtMostCharacters(int mostName) => $"Expected at most {mostName} characters.";
}
