"""What columns are used for is kept with the accounts: class lists remember it, too. The table stays as it is but for
its name."""

from django.db import migrations


class Migration(migrations.Migration):
    dependencies = [("exchange", "0001_column_uses")]

    operations = [
        migrations.SeparateDatabaseAndState(
            database_operations=[migrations.AlterModelTable("ColumnUses", "accounts_columnuses")],
            state_operations=[migrations.DeleteModel("ColumnUses")],
        )
    ]
