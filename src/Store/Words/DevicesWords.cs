namespace FaithfulBracket.Store.Words;

/// <summary>Sentences of devices.</summary>
internal static class DevicesWords
{
    public static string ThereIsNoDevice(long id) => $"There is no device {id}.";
}
