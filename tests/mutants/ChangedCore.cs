using System.Reflection;
using System.Runtime.Loader;

namespace FaithfulBracket.Mutants;

/// <summary>The built tests beside a core that holds every changed rule, one of which can be switched on.</summary>
internal sealed class ChangedCore
{
    /// <summary>More changes than there are.</summary>
    private const int Most = 100_000;

    private readonly FieldInfo _active,
        _marks;

    /// <param name="folder">Where the tests were built.</param>
    public ChangedCore(string folder)
    {
        var main = Path.Combine(folder, "FaithfulBracket.Core.Tests.dll");
        var resolver = new AssemblyDependencyResolver(main);
        var context = AssemblyLoadContext.Default;
        context.Resolving += (c, name) =>
            resolver.ResolveAssemblyToPath(name) is { } path ? c.LoadFromAssemblyPath(path) : null;
        context.ResolvingUnmanagedDll += (_, name) =>
            resolver.ResolveUnmanagedDllToPath(name) is { } path
                ? System.Runtime.InteropServices.NativeLibrary.Load(path)
                : 0;
        Tests = context.LoadFromAssemblyPath(main);
        var core = context.LoadFromAssemblyPath(Path.Combine(folder, "FaithfulBracket.Core.dll"));
        var control = core.GetTypes().Single(t => t.Name == RuleSwitch.Control);
        _active = control.GetField(RuleSwitch.Active)!;
        _marks = control.GetField(RuleSwitch.Marks)!;
    }

    public Assembly Tests { get; }

    public void SwitchOn(int id) => _active.SetValue(null, id);

    /// <summary>Rules that a test runs through.</summary>
    public IReadOnlyList<int> Covered(Action test)
    {
        var marks = new byte[Most];
        _marks.SetValue(null, marks);
        try
        {
            test();
        }
        finally
        {
            _marks.SetValue(null, null);
        }
        return [.. Enumerable.Range(0, Most).Where(i => marks[i] > 0)];
    }
}
