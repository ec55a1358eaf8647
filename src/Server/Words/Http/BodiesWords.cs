namespace FaithfulBracket.Server.Words.Http;

/// <summary>Sentences of bodies.</summary>
internal static class BodiesWords
{
    public static string BodyIsLarger(string limit) => $"The body is larger than {limit}.";
}
