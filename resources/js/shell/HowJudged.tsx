import { Link } from '@chakra-ui/react'
import { t } from '@/words'

/** To the page that says how a kind of job is judged; what is being filled in stays where it is. */
export function HowJudged({ work }: { work?: string }) {
    return (
        <Link
            href={work ? `/judging#${work}` : '/judging'}
            target="_blank"
            fontSize="text"
            color="copper"
            textDecoration="underline"
            minH="touch"
            display="inline-flex"
            alignItems="center"
        >
            {t('How it is judged')}
        </Link>
    )
}
