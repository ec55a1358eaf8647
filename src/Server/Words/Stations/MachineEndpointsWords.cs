namespace FaithfulBracket.Server.Words.Stations;

/// <summary>Sentences of machine endpoints.</summary>
internal static class MachineEndpointsWords
{
    public static string LibraryHasNoMachine(string id) => $"The library has no machine \"{id}\".";
}
