import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** The sound twin is looked at instead of the failed unit, and has the leads that are put on next. */
export function TwinSwitch({ onTwin, onChange }: { onTwin: boolean; onChange: (on: boolean) => void }) {
    return (
        <ToolButton on={onTwin} flexShrink={0} onClick={() => onChange(!onTwin)}>
            {t('Sound twin')}
        </ToolButton>
    )
}
