namespace FaithfulBracket.Core.Words.Prove;

/// <summary>Sentences of passport.</summary>
internal static class PassportWords
{
    public static Message PhotographEdgeBesideWithFeelerGauge(string contact, double edge) =>
        $"Photograph the edge beside {contact} with a feeler gauge in the picture: {edge:0.00} mm expected.";
}
